import {
  clamp,
  fromOklch,
  mapToGamut,
  opaqueKey,
  tidyShade,
  toOklch,
  writeHex,
  type Color,
  type Oklch,
  type Shade,
} from '../color'
import { decisionColor } from '../resolve'
import { isBound, type ColorDecision, type Palette } from '../site'

/**
 * Below this chroma (OKLCH) a colour has no hue to speak of: whites, blacks, greys.
 * Common practice, no source.
 */
const GREY = 0.02

const isHued = ({ c }: Oklch): boolean => c >= GREY

/** Whether a colour has a hue to speak of. */
export const hasHue = (color: Color): boolean => isHued(toOklch(color))

/** How far a hue may lie from the family's, in degrees: tints and shades drift a little. Common practice, no source. */
const KIN = 14

const hueGap = (a: number, b: number) => Math.abs(((a - b + 540) % 360) - 180)

/**
 * Whether a colour is a tint, a shade or a transparent variant of another: of the same hue.
 * A colour without a hue has no family but itself, and belongs to none.
 */
export function isKin(head: Color, color: Color): boolean {
  const [a, b] = [toOklch(head), toOklch(color)]
  if (!isHued(a) || !isHued(b)) return opaqueKey(head) === opaqueKey(color)
  return hueGap(a.h, b.h) <= KIN
}

function moved(target: Oklch, head: Oklch, own: Oklch): Oklch {
  return {
    l: clamp(target.l + own.l - head.l, 0, 1),
    c: Math.max(0, target.c + own.c - head.c),
    h: target.h + (isHued(own) && isHued(head) ? own.h - head.h : 0),
    alpha: own.alpha,
  }
}

/**
 * Where one of a family goes when its head goes to a target: as far from that in lightness
 * (OKLCH) and chroma as it was from its head, and turned as far; its own alpha stays. What
 * would leave sRGB is mapped into it.
 */
export function movedAlong(target: Color, head: Color, own: Color): Color {
  return mapToGamut(fromOklch(moved(toOklch(target), toOklch(head), toOklch(own))))
}

const signedTurn = (degrees: number) => Math.round(((degrees + 540) % 360) - 180)
const percent = (value: number) => clamp(Math.round(value * 100), -100, 100)

/** The same as a decision: tied to a slot it is a shade of that, to whole points; else a loose colour. */
export function movedDecision(
  palette: Palette,
  to: ColorDecision,
  head: Color,
  own: Color,
): ColorDecision {
  const target = decisionColor(palette, to)
  if (!isBound(to)) return { value: writeHex(movedAlong(target, head, own)) }
  const slot = toOklch(decisionColor(palette, { slot: to.slot }))
  const goal = moved(toOklch(target), toOklch(head), toOklch(own))
  const shade: Shade = {
    lightness: percent(goal.l - slot.l),
    saturation: isHued(slot) ? percent(goal.c / slot.c - 1) : 0,
    hue: isHued(slot) && isHued(goal) ? signedTurn(goal.h - slot.h) : 0,
    alpha: percent(goal.alpha - slot.alpha),
  }
  const tidy = tidyShade(shade)
  return tidy ? { slot: to.slot, shade: tidy } : { slot: to.slot }
}
