import { shadeSchema, tidyShade, writeHex } from '../color'
import { roleIds, roleToken, type RoleId } from '../roles'
import { typedName, slotsInOrder, type ColorDecision, type Palette } from '../site'
import type { ReadProblem } from './read-result'
import {
  keyOf,
  NO_SLOT,
  readTokenFile,
  tokenColor,
  tokenFollower,
  tokensOf,
  type Found,
} from './tokens'

/** A theme as a file has it: what could be read, and which roles are not in it. */
export interface ReadTheme {
  readonly name: string
  readonly roles: Partial<Record<RoleId, ColorDecision>>
  readonly missing: readonly RoleId[]
}

export interface ReadThemes {
  readonly themes: readonly ReadTheme[]
  readonly problems: readonly ReadProblem[]
}

const roleByToken = new Map(roleIds.map((role) => [roleToken(role), role]))

/** The slot of this palette that a token of the file names. */
function slotNamed(palette: Palette, path: readonly string[]) {
  const wanted = path.at(-1)?.toLowerCase()
  return slotsInOrder(palette).find(({ name }) => name.toLowerCase() === wanted)?.id
}

/** A token as a decision of this site: bound where a slot goes by the same name, else loose. */
function decisionOf(palette: Palette, found: Found, end: Found): ColorDecision | undefined {
  const color = tokenColor(end.token.value)
  const derived = end.token.extensions?.[NO_SLOT] as
    { readonly of?: unknown; readonly [offset: string]: unknown } | undefined
  if (derived && typeof derived.of === 'string') {
    const { of, ...offsets } = derived
    const slot = slotNamed(palette, of.replace(/[{}]/g, '').split('.'))
    const shade = shadeSchema.safeParse(offsets)
    const tidy = shade.success ? tidyShade(shade.data) : undefined
    if (slot && shade.success) return tidy ? { slot, shade: tidy } : { slot }
  }
  const slot = found === end ? undefined : slotNamed(palette, end.token.path)
  if (slot) return { slot }
  return color && { value: writeHex(color) }
}

/**
 * Reads the themes of a design-token file that this application wrote, for
 * another palette: a role is bound where the palette has a slot of the name, and
 * loose where it has none. Roles that are not known here, and tokens that lead
 * nowhere, are problems with their path. Never throws.
 */
export function readThemes(text: string, palette: Palette): ReadThemes {
  const read = readTokenFile(text)
  if (!read.ok) return { themes: [], problems: [{ code: read.problem }] }
  const { tree, all } = read
  const follow = tokenFollower(all)
  const group = tree.children.find(({ name, kind }) => kind === 'group' && name === 'themes')
  if (group?.kind !== 'group') return { themes: [], problems: [{ code: 'no-themes' }] }
  const problems: ReadProblem[] = []
  const themes = group.children.flatMap((theme): ReadTheme[] => {
    if (theme.kind !== 'group') return []
    const roles: Partial<Record<RoleId, ColorDecision>> = {}
    for (const found of tokensOf(theme, group.type)) {
      const where = keyOf(found.token.path)
      const role = roleByToken.get(found.token.name)
      const end = follow(found)
      if (!role) problems.push({ code: 'unknown-role', where })
      else if (typeof end === 'string') problems.push({ code: end, where })
      else {
        const decision = decisionOf(palette, found, end.at)
        if (decision) roles[role] = decision
        else problems.push({ code: 'not-a-color', where })
      }
    }
    const name = typedName.safeParse((theme.description ?? theme.name).slice(0, 60))
    const missing = roleIds.filter((role) => !roles[role])
    return [{ name: name.success ? name.data : theme.name, roles, missing }]
  })
  return { themes, problems }
}
