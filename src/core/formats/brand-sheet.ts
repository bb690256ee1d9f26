import { contrast, over, white, writeColor, writeHex, type Color } from '../color'
import { slotColor } from '../resolve'
import { slotsInOrder, type Palette } from '../site'
import type { NamedColor } from './gpl'

export interface BrandColor extends NamedColor {
  readonly note?: string
  readonly hex: string
  readonly rgb: string
  readonly hsl: string
  readonly oklch: string
}

/** What a brand sheet says: the colours in every code, and what can be read on what. */
export interface BrandSheet {
  readonly title: string
  readonly colors: readonly BrandColor[]
  /** Contrast ratio (WCAG 2.2) of each colour as text, by row, on each colour as ground, by column. */
  readonly contrasts: ReadonlyArray<readonly number[]>
}

/** The filled slots in their order, named. */
export function namedColors(palette: Palette): NamedColor[] {
  return slotsInOrder(palette).flatMap(({ id, name, value }) =>
    value === null ? [] : [{ name, color: slotColor(palette, id) }],
  )
}

export function brandSheet(title: string, palette: Palette): BrandSheet {
  const slots = slotsInOrder(palette).filter(({ value }) => value !== null)
  const colors = slots.map(({ id, name, note }) => {
    const color = slotColor(palette, id)
    return {
      name,
      color,
      ...(note ? { note } : {}),
      hex: writeHex(color),
      rgb: writeColor(color, 'rgb'),
      hsl: writeColor(color, 'hsl'),
      oklch: writeColor(color, 'oklch'),
    }
  })
  const on = (text: Color, ground: Color) => contrast(text, over(ground, white))
  return {
    title,
    colors,
    contrasts: colors.map((text) => colors.map((ground) => on(text.color, ground.color))),
  }
}
