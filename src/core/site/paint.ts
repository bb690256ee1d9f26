import * as z from 'zod'
import { mixSpaces, parseColor, shadeSchema } from '../color'
import { pictureId, slotId } from './ids'

/** Text that is a CSS colour in some notation; kept to the letter. */
export const colorText = z
  .string()
  .max(200)
  .refine((text) => parseColor(text).ok, 'not a colour')

/** Bound: refers to a slot, perhaps to one of its shades. */
export const boundDecision = z.strictObject({ slot: slotId, shade: shadeSchema.optional() })
/** Loose: holds a value of its own. */
export const looseDecision = z.strictObject({ value: colorText })

/** A colour decision; where it is absent, the next one in the chain counts. */
export const colorDecision = z.union([boundDecision, looseDecision])

export type BoundDecision = z.infer<typeof boundDecision>
export type LooseDecision = z.infer<typeof looseDecision>
export type ColorDecision = z.infer<typeof colorDecision>

const stop = z.strictObject({ at: z.number().min(0).max(100), color: colorDecision })

export const gradientKinds = ['linear', 'radial', 'conic'] as const

/** Most stops of a gradient. */
export const mostStops = 12

const percent = z.number().min(0).max(100)

/**
 * A gradient: `angle` in degrees as in CSS (linear: 90 runs left to right, 180 top to bottom;
 * conic: where it begins), stops and `center` in per cent, `space` the one that it mixes in:
 * sRGB where absent.
 */
export const gradientPaint = z.strictObject({
  gradient: z.enum(gradientKinds),
  angle: z.number().min(0).max(360),
  stops: z.array(stop).min(2).max(mostStops),
  center: z.strictObject({ x: percent, y: percent }).optional(),
  space: z.enum(mixSpaces).optional(),
})

export const pictureFits = ['cover', 'contain', 'repeat'] as const

/** A picture: how it fills what it stands in, which point of it stays in sight, and a colour over it. */
export const picturePaint = z.strictObject({
  picture: pictureId,
  /** The colour that shows while the picture loads, and that contrast is measured against. */
  under: colorDecision,
  fit: z.enum(pictureFits).optional(),
  position: z.strictObject({ x: percent, y: percent }).optional(),
  tint: colorDecision.optional(),
})

export const paint = z.union([boundDecision, looseDecision, gradientPaint, picturePaint])
export type GradientPaint = z.infer<typeof gradientPaint>
export type PicturePaint = z.infer<typeof picturePaint>
export type Paint = z.infer<typeof paint>

/** What kinds of paint there are: a plain colour, a gradient, a picture. */
export const paintKinds = ['color', 'gradient', 'picture'] as const
export type PaintKind = (typeof paintKinds)[number]

export function paintKind(value: Paint): PaintKind {
  if (isColor(value)) return 'color'
  return 'gradient' in value ? 'gradient' : 'picture'
}

export function isBound(value: Paint): value is BoundDecision {
  return 'slot' in value
}
export function isLoose(value: Paint): value is LooseDecision {
  return 'value' in value
}
export function isColor(value: Paint): value is ColorDecision {
  return isBound(value) || isLoose(value)
}
