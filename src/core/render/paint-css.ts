import { applyShade, colorOf, writeHex } from '../color'
import { isBound, isLoose, type ColorDecision, type Paint } from '../site'
import { slotProperty } from './css-names'

/** A colour decision as CSS: a reference to its slot, or the loose colour in hex within sRGB. */
export function decisionCss(decision: ColorDecision): string {
  if (isBound(decision)) return `var(${slotProperty(decision.slot, decision.shade)})`
  const color = colorOf(decision.value)
  return color ? writeHex(applyShade(color, undefined)) : 'transparent'
}

/**
 * A paint as CSS: for `background` any paint, elsewhere only plain colours make
 * sense. `pictureCss` writes the file of a picture and its position. Where there is no palette to refer to, `colorText` writes the colours.
 */
export function paintCss(
  paint: Paint,
  pictureCss: (id: string) => string,
  colorText: (decision: ColorDecision) => string = decisionCss,
): string {
  if (isBound(paint) || isLoose(paint)) return colorText(paint)
  if ('picture' in paint) {
    return `${colorText(paint.under)} ${pictureCss(paint.picture)} / cover`
  }
  const stops = paint.stops.map(({ at, color }) => `${colorText(color)} ${at}%`).join(', ')
  return paint.gradient === 'linear'
    ? `linear-gradient(${paint.angle}deg, ${stops})`
    : `radial-gradient(${stops})`
}
