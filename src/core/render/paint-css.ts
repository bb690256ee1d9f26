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

/** Where the file of a picture lies, and which point of it stays in sight where nobody says otherwise. */
export interface PictureFile {
  readonly url: string
  readonly position: string
}

const FITS = { cover: 'cover', contain: 'contain no-repeat', repeat: 'auto repeat' } as const

function pictureCss(
  { picture, under, fit = 'cover', position, tint }: PicturePaint,
  fileOf: (id: string) => PictureFile,
  colorText: ColorText,
): string {
  const file = fileOf(picture)
  const place = position ? `${position.x}% ${position.y}%` : file.position
  const layer = `${colorText(under)} url("${file.url}") ${place} / ${FITS[fit]}`
  if (!tint) return layer
  const over = colorText(tint)
  return `linear-gradient(${over}, ${over}), ${layer}`
}

/**
 * A paint as CSS: for `background` any paint, elsewhere only plain colours make
 * sense. `fileOf` tells the file of a picture. Where there is no palette to refer to, `colorText` writes the colours.
 */
export function paintCss(
  paint: Paint,
  fileOf: (id: string) => PictureFile,
  colorText: ColorText = decisionCss,
): string {
  if (isBound(paint) || isLoose(paint)) return colorText(paint)
  if ('picture' in paint) return pictureCss(paint, fileOf, colorText)
  return gradientCss(paint, colorText)
}
