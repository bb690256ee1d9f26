import * as z from 'zod'

/** The four faces of a site: what typefaces are chosen for. */
export const faces = ['title', 'heading', 'body', 'interactive'] as const
export type FaceId = (typeof faces)[number]

/** A length in CSS pixels. */
const px = (most: number, least = 0) => z.number().min(least).max(most)

export const sides = ['top', 'right', 'bottom', 'left'] as const

/** Something of each side. */
const onSides = <T extends z.ZodType>(each: T) => ({
  top: each,
  right: each,
  bottom: each,
  left: each,
})

const sideWidth = px(40)

/** The name of a typeface, bundled or the site's own. */
export const familyName = z.string().min(1).max(80)

export const lineStyles = ['solid', 'dashed', 'dotted', 'double'] as const
const lineStyle = z.enum(lineStyles)

export const letterCases = ['none', 'uppercase', 'lowercase', 'capitalize'] as const
/** Whether a browser may break words where their language lets it, with a hyphen. */
export const hyphenations = ['manual', 'auto'] as const
export const easings = ['linear', 'ease', 'ease-in', 'ease-out', 'ease-in-out'] as const

/** A corner from here on is a half circle on anything that words stand in. */
export const pill = 999

/** Steps of the size scale around the running text, which is step 0. */
export const [leastStep, mostStep] = [-3, 8]

export const underlines = ['none', 'solid', 'dotted', 'dashed', 'wavy'] as const

export const underline = z.strictObject({
  line: z.enum(underlines),
  thickness: px(20).optional(),
  offset: z.number().min(-1).max(2).optional(),
})

/**
 * What each trait can hold, where no colour is in it. Lengths in CSS pixels; `spacing` in em,
 * `measure` in ch, `opacity` 0…1, `leading` in multiples of the size, `duration` in milliseconds.
 */
export const plainValues = {
  corner: px(pill),
  /** One width for all sides, or one for each. */
  lineWidth: z.union([sideWidth, z.strictObject(onSides(sideWidth))]),
  lineStyle: z.union([lineStyle, z.strictObject(onSides(lineStyle))]),
  padding: z.strictObject({ block: px(200), inline: px(200) }),
  space: px(400),
  width: px(2400, 200),
  opacity: z.number().min(0).max(1),
  /** One of the site's faces: so which typefaces a page loads is known from the settings. */
  face: z.enum(faces),
  /** A step of the site's scale, or a size of its own, which may be another on phones. */
  size: z.union([
    z.strictObject({ step: z.number().int().min(leastStep).max(mostStep) }),
    z.strictObject({ px: px(240, 6), narrow: px(240, 6).optional() }),
  ]),
  weight: z.number().min(1).max(1000),
  leading: z.number().min(0.7).max(3),
  spacing: z.number().min(-0.2).max(1),
  case: z.enum(letterCases),
  hyphens: z.enum(hyphenations),
  measure: z.union([z.number().min(8).max(200), z.literal('none')]),
  /** `thickness` in CSS pixels, `offset` in em; a site may give it a colour besides. */
  underline,
  duration: z.number().min(0).max(5000),
  easing: z.enum(easings),
} as const

export type PlainValues = {
  readonly [K in keyof typeof plainValues]: z.infer<(typeof plainValues)[K]>
}
