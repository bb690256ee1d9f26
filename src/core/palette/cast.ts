import { black, contrast, luminance, over, toOklch, white, type Color } from '../color'

/** The parts that a palette's colours play on a drawn thing; text on each reads as well as the palette allows. */
export interface Cast {
  readonly paper: Color
  readonly pale: Color
  readonly brand: Color
  readonly accent: Color
  readonly quiet: Color
  readonly ink: Color
  readonly onPale: Color
  readonly onBrand: Color
  readonly onAccent: Color
}

/**
 * Casts colours for a mock-up: the lightest as paper, the darkest as ink, the
 * most vivid as accent, the next in weight as brand. With fewer colours, parts
 * are played twice. Common practice, no source.
 */
export function castColors(colors: readonly Color[]): Cast {
  const seen = colors.map((color) => over(color, white))
  const byLight = [...seen].sort((a, b) => luminance(b) - luminance(a))
  const paper = byLight[0] ?? white
  const ink = byLight.length > 1 ? byLight.at(-1)! : black
  const middle = byLight.slice(1, -1)
  const chroma = (color: Color) => toOklch(color).c
  const byChroma = [...middle].sort((a, b) => chroma(b) - chroma(a))
  const accent = byChroma[0] ?? ink
  const brand =
    byChroma
      .slice(1)
      .sort((a, b) => chroma(b) * (1 - luminance(b)) - chroma(a) * (1 - luminance(a)))[0] ?? ink
  const rest = middle.filter((color) => color !== accent && color !== brand)
  const on = (ground: Color) => (contrast(paper, ground) >= contrast(ink, ground) ? paper : ink)
  const pale = rest[0] ?? paper
  return {
    paper,
    pale,
    brand,
    accent,
    quiet: rest.at(-1) ?? brand,
    ink,
    onPale: on(pale),
    onBrand: on(brand),
    onAccent: on(accent),
  }
}
