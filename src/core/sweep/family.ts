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

/** Below this chroma a colour heads no family: near-blacks and greys with a cast of blue are greys. Common practice, no source. */
const HEADS = 0.04

/** How far a hue may lie from the family's, in degrees: tints and shades drift a little. Common practice, no source. */
const KIN = 14

/** How much of the chroma that a mixture with white or black would have one of a family has at least. Common practice, no source. */
const VIVID = 0.4

const hueGap = (a: number, b: number) => Math.abs(((a - b + 540) % 360) - 180)

/** How far a colour lies on the way from another one to white (above 0) or to black (below), by OKLCH lightness, −1…1. */
function shareOf(head: Oklch, own: Oklch): number {
  const way = own.l >= head.l ? 1 - head.l : head.l
  return way < 1e-6 ? 0 : clamp((own.l - head.l) / way, -1, 1)
}

/**
 * Whether a colour is a tint, a shade or a transparent variant of another: of the same hue, and
 * about as vivid as the other mixed with white or black to the same lightness, so that the greys
 * of a blue site are not kin of its blue. A colour with hardly any hue has no family but itself.
 */
export function isKin(head: Color, color: Color): boolean {
  const [a, b] = [toOklch(head), toOklch(color)]
  if (a.c < HEADS || !isHued(b)) return opaqueKey(head) === opaqueKey(color)
  const mixed = a.c * (1 - Math.abs(shareOf(a, b)))
  return hueGap(a.h, b.h) <= KIN && b.c >= VIVID * mixed
}

/** How far a hue may lie from the family's for people to be asked about it, in degrees. Common practice, no source. */
const ASKED = 40

/** Whether a colour is of nearly the hue of another, or as good as grey with a cast of it, and no kin: a person may count it among them. */
export function isNearKin(head: Color, color: Color): boolean {
  const [a, b] = [toOklch(head), toOklch(color)]
  const hasCast = b.c >= GREY / 4
  return a.c >= HEADS && hasCast && hueGap(a.h, b.h) <= ASKED && !isKin(head, color)
}

function moved(target: Oklch, head: Oklch, own: Oklch): Oklch {
  const share = shareOf(head, own)
  const l = share >= 0 ? target.l + share * (1 - target.l) : target.l * (1 + share)
  return {
    l: clamp(l, 0, 1),
    c: isHued(head) ? target.c * (own.c / head.c) : target.c,
    h: target.h + (isHued(own) && isHued(head) ? own.h - head.h : 0),
    alpha: own.alpha,
  }
}

/**
 * Where one of a family goes when its head goes to a target (OKLCH): as far on the way from that
 * to white or black as it was from its head, as vivid in proportion, and turned as far; its own
 * alpha stays. A tint stays a tint. What would leave sRGB is mapped into it.
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
