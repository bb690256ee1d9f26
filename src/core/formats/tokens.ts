import {
  colorOf,
  mapToGamut,
  shadeToken,
  toBytes,
  writeHex,
  type Color,
  type Shade,
} from '../color'
import { decisionColor } from '../resolve'
import { roleIds, roleToken } from '../roles'
import {
  isBound,
  mostCandidates,
  mostExtensions,
  own,
  typedName,
  plainText,
  slotsInOrder,
  themesInOrder,
  type Candidate,
  type ColorDecision,
  type Palette,
  type Slot,
  type SlotId,
  type Themes,
} from '../site'
import { aliasFollower, type Followed } from './aliases'
import { colorOfParts, fromOldDialect, isOldDialect } from './dialects'
import type { Json, JsonObject } from './json'
import { readJson } from './read-json'
import type { ReadPalette, ReadProblem } from './read-result'
import { readTokenTree, type Token, type TokenGroup, type TokenValue } from './token-tree'

/** The colour spaces of the format (Color Module 2025.10 §3), each as CSS writes it. */
const SPACES: Readonly<Record<string, (c: readonly string[], alpha: string) => string>> = {
  hsl: ([h, s, l], a) => `hsl(${h} ${percent(s)} ${percent(l)}${a})`,
  hwb: ([h, w, b], a) => `hwb(${h} ${percent(w)} ${percent(b)}${a})`,
  lab: (c, a) => `lab(${c.join(' ')}${a})`,
  lch: (c, a) => `lch(${c.join(' ')}${a})`,
  oklab: (c, a) => `oklab(${c.join(' ')}${a})`,
  oklch: (c, a) => `oklch(${c.join(' ')}${a})`,
}
const FUNCTION_SPACES = [
  'srgb',
  'srgb-linear',
  'display-p3',
  'a98-rgb',
  'prophoto-rgb',
  'rec2020',
  'xyz-d65',
  'xyz-d50',
]
const percent = (text: string | undefined) => (text === 'none' ? 'none' : `${text}%`)

/** A token's colour as such; undefined when its value is no colour. Never throws. */
export function tokenColor(value: TokenValue): Color | undefined {
  if (value.form === 'string') return colorOf(value.text)
  if (value.form === 'other') return colorOfParts(value.json)
  if (value.form !== 'object') return undefined
  const { colorSpace, components, alpha, hex } = value
  if (components.length !== 3) return undefined
  if (alpha !== undefined && (alpha < 0 || alpha > 1)) return undefined
  const parts = components.map(String)
  const over = alpha === undefined ? '' : ` / ${alpha}`
  const write = own(SPACES, colorSpace)
  if (write) return colorOf(write(parts, over))
  // A space that is not known here has its fallback (Color Module 2025.10, §4.1: `hex`).
  if (!FUNCTION_SPACES.includes(colorSpace)) return hexWithAlpha(hex, alpha)
  return colorOf(`color(${colorSpace} ${parts.join(' ')}${over})`)
}

function hexWithAlpha(hex: string | undefined, alpha = 1): Color | undefined {
  const color = hex === undefined ? undefined : colorOf(hex)
  return color && { ...color, alpha: color.alpha * alpha }
}

export interface Found {
  readonly token: Token
  /** Its own `$type`, or that of the nearest group around it. */
  readonly type?: string
}

export function tokensOf(group: TokenGroup, inherited?: string): Found[] {
  const type = group.type ?? inherited
  return group.children.flatMap((child) =>
    child.kind === 'group' ? tokensOf(child, type) : [{ token: child, type: child.type ?? type }],
  )
}

export const keyOf = (path: readonly string[]) => path.join('.')

/** Follows a token's alias to the token that holds a value. */
export function tokenFollower(all: readonly Found[]): (start: Found) => Followed<Found> {
  const byPath = new Map(all.map((found) => [keyOf(found.token.path), found]))
  return aliasFollower<Found>(({ token: { value } }) => {
    if (value.form !== 'alias' && value.form !== 'pointer') return 'end'
    const { path } = value
    // A pointer may name the value inside the token; an alias to a group means its root token.
    const named = path.at(-1) === '$value' ? path.slice(0, -1) : path
    return { next: byPath.get(keyOf(named)) ?? byPath.get(keyOf([...named, '$root'])) }
  })
}

/** The group of a file of ours that holds the slots. */
const PALETTE = 'palette'

/** Marks what is no slot: a shade, with its offsets, or a loose colour of a theme. It is written for other tools and not read back. */
export const NO_SLOT = 'ample-easel.no-slot'

/** Says where a slot stands, where names would change that: JSON objects put whole numbers first. */
const ORDER = 'ample-easel.order'

/** What a file says of a token for other tools, without what is only about the file itself. */
function ownExtensions({ extensions }: Token): JsonObject | undefined {
  const { [ORDER]: _order, ...own } = extensions ?? {}
  return Object.keys(own).length ? own : undefined
}

const orderOf = ({ extensions }: Token): number => {
  const order = extensions?.[ORDER]
  return typeof order === 'number' ? order : Infinity
}

/** The human name of a token: the last part of its path that says something. */
function nameOf(path: readonly string[]): string {
  const last = path.at(-1) === '$root' ? (path.at(-2) ?? '') : (path.at(-1) ?? '')
  // `blue.500` is no name without its group; a slot of ours may be called “100”.
  const isOwn = path.length === 2 && path[0] === PALETTE
  return /^\d+$/.test(last) && path.length > 1 && !isOwn ? `${path.at(-2)} ${last}` : last
}

function detailsOf(token: Token): Partial<Candidate> {
  const { path, description } = token
  const extensions = ownExtensions(token)
  const name = typedName.safeParse(nameOf(path).slice(0, 60))
  const around = path.slice(path[0] === PALETTE ? 1 : 0, -1)
  const group = typedName.safeParse(around.join(' / ').slice(0, 60))
  const note = plainText(200).safeParse(description?.slice(0, 200).trim())
  const told = JSON.stringify(extensions ?? {})
  const keep = extensions && told.length <= mostExtensions && !told.includes('"__proto__"')
  return {
    ...(name.success ? { name: name.data } : {}),
    ...(group.success ? { group: group.data } : {}),
    ...(note.success && note.data ? { note: note.data } : {}),
    ...(keep ? { extensions: extensions as Candidate['extensions'] } : {}),
  }
}

export type ReadTokenFile =
  | {
      readonly ok: true
      readonly tree: TokenGroup
      readonly all: readonly Found[]
      /** Whether it is of the dialect without `$`. */
      readonly isOld: boolean
    }
  | { readonly ok: false; readonly problem: 'bad-json' | 'too-deep' }

/** The tokens of a file, of today's format or of the one before it. */
export function readTokenFile(text: string): ReadTokenFile {
  const read = readJson(text)
  if (!read.ok) return read
  const isOld = isOldDialect(read.json)
  const tree = readTokenTree(isOld ? fromOldDialect(read.json) : read.json)
  return tree ? { ok: true, tree, all: tokensOf(tree), isOld } : { ok: false, problem: 'bad-json' }
}

/**
 * Reads the colour tokens of a design-token file (Design Tokens Community Group
 * 2025.10, the string form of earlier drafts, and the dialect without `$`;
 * JSON5 too). Aliases take the colour they
 * lead to; a token whose alias leads in a circle or nowhere, or whose type is
 * `color` but whose value is none, is a problem with its path. Tokens of other
 * types are passed over.
 */
export function readTokens(text: string): ReadPalette {
  const read = readTokenFile(text)
  if (!read.ok)
    return { format: 'tokens', colors: [], problems: [{ code: read.problem }], total: 0 }
  const { all, isOld } = read
  const follow = tokenFollower(all)
  const colors: Candidate[] = []
  const problems: ReadProblem[] = []
  let total = 0
  const isOrdered = all.some(({ token }) => orderOf(token) !== Infinity)
  const inOrder = isOrdered
    ? [...all].sort((a, b) => Math.sign(orderOf(a.token) - orderOf(b.token)) || 0)
    : all
  for (const found of inOrder) {
    if (found.token.extensions && NO_SLOT in found.token.extensions) continue
    const followed = follow(found)
    const where = keyOf(found.token.path)
    if (typeof followed === 'string') {
      problems.push({ code: followed, where })
      continue
    }
    const end = followed.at
    const type = found.type ?? end.type
    const { value } = end.token
    const color = tokenColor(value)
    if (type !== undefined && type !== 'color') continue
    // Without a type only what cannot be anything else counts as a colour.
    const isSure = type !== undefined || value.form === 'object' || value.form === 'other' || isOld
    if (!color || !isSure) {
      if (type === 'color') {
        problems.push({ code: value.form === 'other' ? 'wrong-type' : 'not-a-color', where })
      }
      continue
    }
    // An alias names a colour that stands elsewhere in the file, so it gives none of its own.
    if (end !== found) continue
    total += 1
    if (colors.length < mostCandidates)
      colors.push({ value: writeHex(color), ...detailsOf(found.token) })
  }
  return { format: 'tokens', colors, problems, total }
}

export type TokenForm = 'object' | 'string'

const round = (value: number) => Number(value.toFixed(5))

function writeTokenColor(color: Color, form: TokenForm): Json {
  if (form === 'string') return writeHex(color)
  // Both members say the same colour: the one that is shown, mapped into sRGB.
  const shown = mapToGamut(color)
  const components = toBytes(shown).map((byte) => round(byte / 255))
  const hex = writeHex({ ...shown, alpha: 1 })
  return {
    colorSpace: 'srgb',
    components,
    ...(color.alpha < 1 ? { alpha: round(color.alpha) } : {}),
    hex,
  }
}

/** A name as the format allows it: no braces, no dot, no `$` in front; one of a kind. */
function tokenName(name: string, taken: Set<string>): string {
  const plain =
    name.replace(/[{}.]/g, ' ').replace(/^\$+/, '').replace(/\s+/g, ' ').trim() || 'slot'
  let own = plain
  for (let n = 2; taken.has(own); n += 1) own = `${plain} ${n}`
  taken.add(own)
  return own
}

/** What a slot keeps for other tools, and where it stands, where that has to be said. */
function extensionsOf({ extensions }: Slot, at: number | undefined): JsonObject {
  const all = { ...(extensions as JsonObject), ...(at === undefined ? {} : { [ORDER]: at }) }
  return Object.keys(all).length ? { $extensions: all } : {}
}

/**
 * The palette as design tokens: every filled slot a colour token in its group,
 * with its note and `$extensions`; the shades that themes take; the themes as
 * aliases to both. Colours in the object form (sRGB components 0…1) or in hex.
 */
export function writeTokens(palette: Palette, themes: Themes, form: TokenForm): string {
  const paths = new Map<string, string>()
  const groups = new Map<string, Record<string, Json>>([['', {}]])
  const groupOf = ({ group }: Slot) => (group ? tokenName(group, new Set()) : '')
  const slots = slotsInOrder(palette)
  const takenIn = new Map<string, Set<string>>([['', new Set(slots.map(groupOf))]])
  const isNumbered = slots.some(({ name }) => /^\d+$/.test(name.trim()))
  for (const [at, slot] of slots.entries()) {
    const color = slot.value === null ? undefined : colorOf(slot.value)
    if (!color) continue
    const group = groupOf(slot)
    const taken = takenIn.get(group) ?? new Set()
    takenIn.set(group, taken)
    const name = tokenName(slot.name, taken)
    const members = groups.get(group) ?? {}
    groups.set(group, members)
    members[name] = {
      $value: writeTokenColor(color, form),
      ...(slot.note ? { $description: slot.note } : {}),
      ...extensionsOf(slot, isNumbered ? at : undefined),
    }
    paths.set(slot.id, [PALETTE, group, name].filter(Boolean).join('.'))
  }
  const { '': loose, ...grouped } = Object.fromEntries(groups)
  const shades: Record<string, Record<string, Json>> = {}
  const noteShade = (slot: SlotId, shade: Shade): string => {
    const name = shadeToken(shade)
    const color = decisionColor(palette, { slot, shade })
    shades[slot] = {
      ...shades[slot],
      [name]: {
        $value: writeTokenColor(color, form),
        $extensions: { [NO_SLOT]: { of: `{${paths.get(slot)}}`, ...shade } },
      },
    }
    return `{shades.${slot}.${name}}`
  }
  /** The token of a decision; none for a slot that is empty. */
  const tokenOf = (decision: ColorDecision): Json | undefined => {
    if (!isBound(decision)) {
      const $value = writeTokenColor(decisionColor(palette, decision), form)
      return { $value, $extensions: { [NO_SLOT]: {} } }
    }
    const { slot, shade } = decision
    const path = paths.get(slot)
    if (path) return { $value: shade ? noteShade(slot, shade) : `{${path}}` }
  }
  const written = themesInOrder(themes).map(({ id, name, roles }) => {
    const members = roleIds.flatMap((role) => {
      const token = tokenOf(roles[role])
      return token ? [[roleToken(role), token] as const] : []
    })
    return [id, { $description: name, ...Object.fromEntries(members) }] as const
  })
  const file = {
    [PALETTE]: { $type: 'color', ...loose, ...grouped },
    ...(Object.keys(shades).length ? { shades: { $type: 'color', ...shades } } : {}),
    themes: { $type: 'color', ...Object.fromEntries(written) },
  }
  return `${JSON.stringify(file, null, 2)}\n`
}
