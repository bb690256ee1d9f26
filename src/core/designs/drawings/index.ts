import { toOklch, writeHex, type Color } from '../../color'
import type { Drawing, DrawingColors } from './drawing'
import { living } from './living'
import { marks } from './marks'
import { patterns } from './patterns'
import { places } from './places'
import { things } from './things'

export const drawingGroups: ReadonlyArray<readonly [name: string, drawings: readonly Drawing[]]> = [
  ['Places', places],
  ['Things', things],
  ['Living', living],
  ['Patterns', patterns],
  ['Logos', marks],
]

/** All drawings of ours. Another one is an entry in a file of its group. */
export const drawings: readonly Drawing[] = drawingGroups.flatMap(([, all]) => all)

export const drawingOf = (id: string): Drawing | undefined =>
  drawings.find((each) => each.id === id)
export { drawingSvg, sizeOf, type Drawing, type DrawingColors } from './drawing'

/** What of a palette a drawing is made in: by lightness, and the most vivid of those between. */
export function drawingColors(colors: readonly Color[]): DrawingColors {
  const sorted = colors
    .map((color) => ({ hex: writeHex(color), ...toOklch(color) }))
    .sort((a, b) => b.l - a.l)
  const at = (index: number) => sorted[Math.max(0, Math.min(sorted.length - 1, index))]
  const between = sorted.slice(1, -1)
  const strong = [...between].sort((a, b) => b.c - a.c)[0] ?? at(0)
  const rest = between.filter((each) => each !== strong)
  const hex = (color: { readonly hex: string } | undefined) => color?.hex ?? '#808080'
  return {
    pale: hex(at(0)),
    soft: hex(rest[0] ?? at(0)),
    mid: hex(rest[1] ?? rest[0] ?? strong),
    strong: hex(strong),
    deep: hex(rest.at(-1) ?? at(sorted.length - 2)),
    ink: hex(at(sorted.length - 1)),
  }
}
