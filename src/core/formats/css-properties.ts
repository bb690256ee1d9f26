import { colorOf, writeHex } from '../color'
import { fanOf } from '../palette'
import { slotProperties } from '../render'
import { mostCandidates, nameText, slotsInOrder, type Candidate, type Palette } from '../site'
import type { ReadPalette, ReadProblem } from './read-result'

const PROPERTY = /--([\w-]+)\s*:\s*([^;{}]+?)\s*(?=[;}]|$)/g
const ALIAS = /^var\(\s*--([\w-]+)\s*(?:,[^()]*)?\)$/

export function isCssProperties(text: string): boolean {
  return /--[\w-]+\s*:\s*[^;{}]+[;}]/.test(text)
}

/** `--color-soft-grey` → `Soft grey`. */
function nameOf(property: string): string {
  const words = property
    .replace(/^(?:color|colour|clr|slot|palette)-+/i, '')
    .replace(/[-_]+/g, ' ')
    .trim()
  return words.charAt(0).toUpperCase() + words.slice(1)
}

/**
 * Reads the custom properties of a stylesheet that hold colours; one that names
 * another by `var()` takes its colour. Properties that hold something else are
 * no problem: a stylesheet has many.
 */
export function readCssProperties(text: string): ReadPalette {
  const plain = text.replace(/\/\*[\s\S]*?\*\//g, '')
  const declared = new Map([...plain.matchAll(PROPERTY)].map(([, name, value]) => [name!, value!]))
  const problems: ReadProblem[] = []
  const colors: Candidate[] = []
  let total = 0
  for (const property of declared.keys()) {
    const passed = new Set<string>()
    let at = property
    let value = declared.get(at)!
    for (let alias = ALIAS.exec(value)?.[1]; alias; alias = ALIAS.exec(value)?.[1]) {
      passed.add(at)
      const next = declared.get(alias)
      if (next === undefined || passed.has(alias)) {
        problems.push({ code: next ? 'cyclic-alias' : 'missing-alias', where: `--${property}` })
        break
      }
      at = alias
      value = next
    }
    // In a stylesheet `300` is a number, not a colour that lost its #.
    const color = /^[\da-f]+$/i.test(value) ? undefined : colorOf(value)
    if (!color) continue
    total += 1
    if (colors.length >= mostCandidates) continue
    const name = nameText.safeParse(nameOf(property))
    colors.push({ value: writeHex(color), ...(name.success ? { name: name.data } : {}) })
  }
  return { format: 'css', colors, problems, total }
}

/** The slots and their shades as custom properties, named as a site's stylesheet names them. */
export function writeCssProperties(palette: Palette): string {
  const declarations = slotsInOrder(palette).flatMap(({ id, name, value }) => {
    if (value === null) return []
    const shades = fanOf(palette, id).flatMap((each) => ('shade' in each && each.shade) || [])
    const lines = slotProperties(palette, id, shades).map(([key, css]) => `  ${key}: ${css};`)
    return [`  /* ${name.replaceAll('*/', '* /')} */`, ...lines]
  })
  return `:root {\n${declarations.join('\n')}\n}\n`
}
