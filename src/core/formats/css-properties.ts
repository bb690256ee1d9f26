import { colorOf, writeHex } from '../color'
import { fanOf } from '../palette'
import { slotProperties } from '../render'
import {
  idFromName,
  mostCandidates,
  slotsInOrder,
  typedName,
  type Candidate,
  type Palette,
} from '../site'
import { aliasFollower } from './aliases'
import type { ReadPalette, ReadProblem } from './read-result'

/** Looked for where a name begins, so that no stretch is gone through twice. */
const PROPERTY = /(?<![\w-])--([\w-]+)\s*:([^;{}]*)(?!\{)/g
const ALIAS = /^var\(\s*--([\w-]+)\s*(?:,[^()]*)?\)$/

/** The text without its comments; one that is not closed goes on to the end. */
function withoutComments(text: string): string {
  const parts: string[] = []
  let at = 0
  for (let open = text.indexOf('/*'); open !== -1; open = text.indexOf('/*', at)) {
    parts.push(text.slice(at, open))
    const close = text.indexOf('*/', open + 2)
    at = close === -1 ? text.length : close + 2
  }
  parts.push(text.slice(at))
  return parts.join('')
}

/** `--color-soft-grey` → `Soft grey`. */
function nameOf(property: string): string {
  const words = property
    .replace(/^(?:color|colour|clr|slot|palette)-+/i, '')
    .replace(/[-_]+/g, ' ')
    .trim()
  return words.charAt(0).toUpperCase() + words.slice(1)
}

/** `--slot-brand--darker-8`: a shade of a slot that is declared as well, and follows it. */
const SHADE = /^(slot-[a-z0-9-]*?)--[a-z0-9-]+$/
/** `--slot-spark: var(--slot-coral)`: a former name of a slot. */
const FORMER = /^var\(\s*--slot-[\w-]+\s*\)$/

const isDerived = (property: string, declared: ReadonlyMap<string, string>): boolean => {
  const base = SHADE.exec(property)?.[1]
  if (base !== undefined && declared.has(base)) return true
  return property.startsWith('slot-') && FORMER.test(declared.get(property)!)
}

/**
 * Reads the custom properties of a stylesheet that hold colours; one that names
 * another by `var()` takes its colour. Properties that hold something else are
 * no problem: a stylesheet has many.
 */
export function readCssProperties(text: string): ReadPalette {
  const declared = new Map<string, string>()
  for (const [, name, value] of withoutComments(text).matchAll(PROPERTY)) {
    if (value!.trim()) declared.set(name!, value!.trim())
  }
  const follow = aliasFollower<string>((name) => {
    const alias = ALIAS.exec(declared.get(name)!)?.[1]
    return alias === undefined ? 'end' : { next: declared.has(alias) ? alias : undefined }
  })
  const problems: ReadProblem[] = []
  const colors: Candidate[] = []
  let total = 0
  for (const property of declared.keys()) {
    if (isDerived(property, declared)) continue
    const end = follow(property)
    if (typeof end === 'string') {
      problems.push({ code: end, where: `--${property}` })
      continue
    }
    const value = declared.get(end.at)!
    // In a stylesheet `300` is a number, not a colour that lost its #.
    const color = /^[\da-f]+$/i.test(value) ? undefined : colorOf(value)
    if (!color) continue
    total += 1
    if (colors.length >= mostCandidates) continue
    const name = typedName.safeParse(nameOf(property))
    colors.push({ value: writeHex(color), ...(name.success ? { name: name.data } : {}) })
  }
  return { format: 'css', colors, problems, total }
}

/**
 * The slots and their shades as custom properties, called by the names that the slots have. One
 * that was renamed is there under its former name as well, as sites are published with it.
 */
export function writeCssProperties(palette: Palette): string {
  const taken = slotsInOrder(palette).map(({ id }) => id as string)
  const declarations = slotsInOrder(palette).flatMap(({ id, name, value }) => {
    if (value === null) return []
    const others = taken.filter((each) => each !== id)
    const named = idFromName(name, others, id)
    taken.push(named)
    const shades = fanOf(palette, id).flatMap((each) => ('shade' in each && each.shade) || [])
    const lines = slotProperties(palette, id, shades).flatMap(([key, css]) => {
      if (named === id) return [`  ${key}: ${css};`]
      const own = key.replace(`--slot-${id}`, `--slot-${named}`)
      const value = css.replaceAll(`--slot-${id}`, `--slot-${named}`)
      return [`  ${own}: ${value};`, `  ${key}: var(${own});`]
    })
    return [`  /* ${name.replaceAll('*/', '* /')} */`, ...lines]
  })
  return `:root {\n${declarations.join('\n')}\n}\n`
}
