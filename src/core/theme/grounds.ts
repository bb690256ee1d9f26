import { luminance, mapToGamut, over, toOklab, toOklch, white, type Color } from '../color'
import { inkDistance, shadeInk, type PaletteColor, type SlotDecision } from './inks'

export type GroundKind = 'pale' | 'vivid' | 'dark'

/** A ground that is worth a theme. */
export interface UsefulGround {
  readonly kind: GroundKind
  readonly decision: SlotDecision
  /** Within sRGB, as it is painted. */
  readonly color: Color
}

/** Luminance above which a ground is pale, below which it is dark; lightness of the shades that stand in where a palette has none. */
const [PALE, DARK] = [0.55, 0.13]
const [STAND_IN_PALE, STAND_IN_DARK] = [0.96, 0.24]
/** OKLab distance below which two grounds would give the same theme. */
const SAME = 0.025
/** Chroma from which a ground is vivid (OKLCH). */
const VIVID = 0.07

/** What kind of ground a colour is, as it is seen on white. */
export function groundKind(color: Color): GroundKind {
  const light = luminance(over(color, white))
  if (light >= PALE) return 'pale'
  return light <= DARK ? 'dark' : 'vivid'
}

/** The shade of a slot, given by its index, that has a lightness (OKLCH, 0…1), opaque. */
export function atLightness(
  palette: readonly PaletteColor[],
  from: number,
  lightness: number,
): Pick<UsefulGround, 'decision' | 'color'> {
  const { l } = toOklab(palette[from]!.color)
  return shadeInk(palette, from, Math.round((lightness - l) * 100))
}

/**
 * The grounds of a palette: at most two pale, two dark and one vivid, from
 * light to dark. Where it holds no pale or no dark one, the shade of its most
 * neutral slot stands in. Common practice, no source. Empty without a slot.
 */
export function usefulGrounds(palette: readonly PaletteColor[]): UsefulGround[] {
  if (palette.length === 0) return []
  const serving = palette.some(({ forNews }) => !forNews)
  const all = palette
    .flatMap(({ id, color: own, forNews }, from) => {
      if (forNews && serving) return []
      const color = mapToGamut(own)
      const seen = over(color, white)
      return {
        from,
        decision: { slot: id },
        color,
        light: luminance(seen),
        lab: toOklab(seen),
        chroma: toOklch(seen).c,
      }
    })
    .sort((a, b) => b.light - a.light)
  const distinct = (pool: typeof all, most: number) => {
    const kept: typeof all = []
    for (const each of pool) {
      if (kept.length < most && kept.every((other) => inkDistance(other.lab, each.lab) >= SAME))
        kept.push(each)
    }
    return kept
  }
  const pale = distinct(
    all.filter(({ light }) => light >= PALE),
    2,
  )
  const dark = all.filter(({ light }) => light <= DARK).reverse()
  // Of the dark ones the darkest, and beside it the most colourful: that is the brand, where there is one.
  const darkest = dark.slice(0, 1)
  const second = [...dark.slice(1)].sort((a, b) => b.chroma - a.chroma)
  const darkTwo = distinct([...darkest, ...second], 2).sort((a, b) => b.light - a.light)
  const vivid = all
    .filter(({ light, chroma }) => light < PALE && light > DARK && chroma >= VIVID)
    .sort((a, b) => b.chroma - a.chroma)
    .slice(0, 1)
  const neutral = [...all].sort((a, b) => a.chroma - b.chroma)[0]!
  const standIn = (kind: GroundKind, lightness: number): UsefulGround => {
    const { decision, color } = atLightness(palette, neutral.from, lightness)
    return { kind, decision, color }
  }
  const ground =
    (kind: GroundKind) =>
    ({ decision, color }: (typeof all)[number]) => ({ kind, decision, color })
  return [
    ...(pale.length ? pale.map(ground('pale')) : [standIn('pale', STAND_IN_PALE)]),
    ...vivid.map(ground('vivid')),
    ...(darkTwo.length ? darkTwo.map(ground('dark')) : [standIn('dark', STAND_IN_DARK)]),
  ]
}
