import * as z from 'zod'
import { kindIds } from '../elements'
import { styleId } from './ids'
import { paletteSchema, usualShadeScale } from './palette'
import { nameText, plainText } from './text'
import { looksSchema } from './paint'
import { bodySchema } from './section'
import { mostStudies, studySchema } from './study'
import { editions, themesSchema } from './theme'
import { looksStep } from './looks-step'
import { runningTextStep } from './running-text-step'
import {
  carriedOver,
  isAbove,
  unchanged,
  withWholes,
  type Stored,
  type UpgradeStep,
} from './upgrade-steps'

/** Longest custom CSS, in UTF-16 units. */
export const mostCustomCss = 200_000

/** The shape of a frame that is written today. */
export const frameVersion = 7

/** A shared style of elements; a variant inherits from `parent` all it does not set. */
export const elementStyleSchema = z.strictObject({
  id: styleId,
  name: nameText,
  kind: z.enum(kindIds as [string, ...string[]]),
  parent: styleId.optional(),
  looks: looksSchema,
})

/** Site-wide fonts: `family` names a bundled font. */
export const typeSchema = z.strictObject({
  heading: z.strictObject({ family: z.string().max(60), weight: z.number().min(100).max(900) }),
  body: z.strictObject({ family: z.string().max(60), weight: z.number().min(100).max(900) }),
  size: z.number().min(12).max(24),
})

/** Site-wide shapes, lengths in CSS pixels. */
export const layoutSchema = z.strictObject({
  contentWidth: z.number().min(600).max(1800),
  sectionSpace: z.number().min(0).max(240),
  sideSpace: z.number().min(0).max(120),
  buttonRadius: z.number().min(0).max(999),
  buttonLine: z.number().min(0).max(8),
  buttonPad: z.tuple([z.number().min(0).max(60), z.number().min(0).max(60)]),
  cardRadius: z.number().min(0).max(80),
  cardLine: z.number().min(0).max(8),
  pictureRadius: z.number().min(0).max(80),
  fieldRadius: z.number().min(0).max(80),
})

/** An add-on keeps settings of its own, some of them colours. */
export const addOnSchema = z.strictObject({
  id: z.string().max(60),
  name: nameText,
  settings: z.record(z.string().max(80), z.union([z.string().max(500), z.number(), z.boolean()])),
})

/** What all pages of a site share. */
export const frameSchema = z.strictObject({
  schema: z.literal(frameVersion),
  name: nameText,
  palette: paletteSchema,
  themes: themesSchema,
  edition: z.enum(editions),
  styles: z.record(styleId, elementStyleSchema),
  type: typeSchema,
  layout: layoutSchema,
  /** Header and footer. */
  body: bodySchema,
  customCss: plainText(mostCustomCss),
  addOns: z.array(addOnSchema).max(40),
  studies: z.array(studySchema).max(mostStudies),
})

export type ElementStyle = z.infer<typeof elementStyleSchema>
export type Frame = z.infer<typeof frameSchema>
export type TypeSettings = z.infer<typeof typeSchema>
export type LayoutSettings = z.infer<typeof layoutSchema>

interface StoredPalette extends Stored {
  readonly order: readonly string[]
  readonly slots: Readonly<Record<string, { id: string; name: string; value: string | null }>>
}

function withScale(palette: StoredPalette): Stored {
  const original = palette.order.flatMap((id) => {
    const slot = palette.slots[id]
    return slot ? [{ id, name: slot.name, value: slot.value }] : []
  })
  return { ...palette, shades: usualShadeScale, original }
}

interface StoredThemes extends Stored {
  readonly byId: Readonly<Record<string, object>>
}

/** What a design came with counts as generated. */
const withHand = (theme: Stored): Stored => ({ ...theme, hand: [] })

function withHands(themes: StoredThemes): Stored {
  const byId = Object.entries(themes.byId).map(([id, theme]) => [id, withHand(theme as Stored)])
  return { ...themes, byId: Object.fromEntries(byId) }
}

export const frameSteps: Readonly<Record<number, UpgradeStep>> = {
  // 2: studies are kept with the site.
  1: { record: (frame) => ({ ...frame, studies: [] }), change: carriedOver },
  // 3: slots fan out by a scale, and the palette remembers what the design came with.
  2: {
    record: (frame) => ({ ...frame, palette: withScale(frame.palette as StoredPalette) }),
    // Another whole palette would bring another memory of the design with it.
    change: (change) => (isAbove(change, 'palette') ? undefined : change),
  },
  // 4: themes know what a person decided in them, and may have a dark edition.
  3: {
    record: (frame) => ({
      ...frame,
      edition: 'light',
      themes: withHands(frame.themes as StoredThemes),
    }),
    change(change) {
      if (change.path.length === 3 && isAbove(change, 'themes', 'byId', '*')) {
        return withWholes(change, withHand)
      }
      return isAbove(change, 'themes', 'byId') ? undefined : change
    },
  },
  // 5: headings and quotes are running text, sections can be hidden.
  4: runningTextStep,
  // 6: bands of the frame are parts, which stand where pages name them.
  5: unchanged,
  // 7: what a thing decides of its own is called its looks.
  6: looksStep,
}
