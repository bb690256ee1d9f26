import type { Settings } from './settings'
import type { PlainValues } from './values'

/** Widths of the window between which sizes grow, in CSS pixels: narrower and wider they stay. */
export const fluidFrom = 400
export const fluidTo = 1020

/** A size on phones and on wide screens, in CSS pixels. */
export interface FluidSize {
  readonly narrow: number
  readonly wide: number
}

type Scale = Pick<Settings, 'textSize' | 'scale' | 'narrowScale'>

const hundredth = (value: number) => Math.round(value * 100) / 100

type OwnSize = Extract<PlainValues['size'], { readonly px: number }>

/** Both ends of a step of the scale: the text size times the ratio to the power of the step. */
export function stepSize(all: Scale, step: number): FluidSize {
  const at = (ratio: number) => hundredth(all.textSize * ratio ** step)
  return { narrow: at(all.narrowScale), wide: at(all.scale) }
}

/** Both ends of a size of its own. */
export const ownSize = ({ px, narrow }: OwnSize): FluidSize => ({ narrow: narrow ?? px, wide: px })

/** Both ends of any size. */
export const fluidSize = (all: Scale, size: PlainValues['size']): FluidSize =>
  'px' in size ? ownSize(size) : stepSize(all, size.step)

/**
 * The size in CSS pixels in a window of some width: linear between the two ends, as CSS `clamp()`
 * of a length that grows with the window comes to (CSS Values and Units 4, 10.3).
 */
export function sizeAt({ narrow, wide }: FluidSize, width: number): number {
  const share = Math.min(1, Math.max(0, (width - fluidFrom) / (fluidTo - fluidFrom)))
  return narrow + (wide - narrow) * share
}

/** A number for CSS without needless digits. */
export const written = (value: number, digits = 4): string => String(Number(value.toFixed(digits)))

const ROOT = 16
const rem = (value: number) => `${written(value / ROOT)}rem`

/**
 * A size as CSS, in rem, so that what visitors set in their browser counts: the line through both
 * ends has a slope, written in vw, and where it starts; `clamp()` holds it between them.
 */
export function sizeCss({ narrow, wide }: FluidSize): string {
  if (narrow === wide) return rem(wide)
  const slope = (wide - narrow) / (fluidTo - fluidFrom)
  const start = narrow - slope * fluidFrom
  const [least, most] = narrow < wide ? [narrow, wide] : [wide, narrow]
  const sign = slope < 0 ? '-' : '+'
  const middle = `${rem(start)} ${sign} ${written(Math.abs(slope) * 100)}vw`
  return `clamp(${rem(least)}, ${middle}, ${rem(most)})`
}
