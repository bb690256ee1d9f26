import { applyShade, colorOf, writeHex } from '../color'
import {
  isBound,
  isLoose,
  type ColorDecision,
  type GradientPaint,
  type Paint,
  type PicturePaint,
} from '../site'
import { slotProperty } from './css-names'

/** A colour decision as CSS: a reference to its slot, or the loose colour in hex within sRGB. */
export function decisionCss(decision: ColorDecision): string {
  if (isBound(decision)) return `var(${slotProperty(decision.slot, decision.shade)})`
  const color = colorOf(decision.value)
  return color ? writeHex(applyShade(color, undefined)) : 'transparent'
}

type ColorText = (decision: ColorDecision) => string

/** `180deg in oklab`, `at 30% 40%`: what stands before the stops; nothing where it is as usual. */
function gradientHead({ gradient, angle, center, space }: GradientPaint): string {
  const mixed = space && space !== 'srgb' ? [`in ${space}`] : []
  const at = center ? [`at ${center.x}% ${center.y}%`] : []
  switch (gradient) {
    case 'linear':
      return [`${angle}deg`, ...mixed].join(' ')
    case 'radial':
      return [...at, ...mixed].join(' ')
    case 'conic':
      return [`from ${angle}deg`, ...at, ...mixed].join(' ')
  }
}

function gradientCss(paint: GradientPaint, colorText: ColorText): string {
  const stops = paint.stops.map(({ at, color }) => `${colorText(color)} ${at}%`)
  return `${paint.gradient}-gradient(${[gradientHead(paint), ...stops].filter(Boolean).join(', ')})`
}

function pictureCss(
  { picture, under, fit = 'cover', position, tint }: PicturePaint,
  urlOf: (id: string) => string,
  colorText: ColorText,
): string {
  // A point of its own stands in place of the one that the picture itself says.
  const [url, place] = [urlOf(picture), position && `${position.x}% ${position.y}%`]
  const file = place ? `${url.slice(0, url.indexOf(')') + 1)} ${place}` : url
  const size = fit === 'repeat' ? `${file} / auto repeat` : `${file} / ${fit} no-repeat`
  const layer = fit === 'cover' ? `${file} / cover` : size
  if (!tint) return `${colorText(under)} ${layer}`
  const over = colorText(tint)
  return `linear-gradient(${over}, ${over}), ${colorText(under)} ${layer}`
}

/**
 * A paint as CSS: for `background` any paint, elsewhere only plain colours make
 * sense. `urlOf` writes the file of a picture and its position. Where there is no palette to refer to, `colorText` writes the colours.
 */
export function paintCss(
  paint: Paint,
  urlOf: (id: string) => string,
  colorText: ColorText = decisionCss,
): string {
  if (isBound(paint) || isLoose(paint)) return colorText(paint)
  if ('picture' in paint) return pictureCss(paint, urlOf, colorText)
  return gradientCss(paint, colorText)
}
