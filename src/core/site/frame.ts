import * as z from 'zod'
import { styledKinds, type StyledKind } from '../elements'
import { settingsSchema } from '../traits'
import { addOnSchema, addOnStep, mostAddOns } from './add-on'
import { pictureId, styleId } from './ids'
import { paletteSchema, usualShadeScale } from './palette'
import { nameText, plainText } from './text'
import { looksOf } from './looks'
import { bodySchema } from './section'
import { mostStudies, studySchema } from './study'
import { editions, themesSchema } from './theme'
import { buttonFormStep } from './button-form-step'
import { settingsStep } from './settings-step'
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
export const mostCustomCss = 1_200_000

/** The shape of a frame that is written today. */
export const frameVersion = 10

function styleOf<Kind extends StyledKind>(kind: Kind) {
  return z.strictObject({
    id: styleId,
    name: nameText,
    kind: z.literal(kind),
    parent: styleId.optional(),
    looks: looksOf(kind),
  })
}

const styleOptions = styledKinds.map(styleOf)

/**
 * A shared style of elements; a variant inherits from `parent` all it does not set. One that
 * has the id of a base style is what all elements of that base have without being given it.
 */
export const elementStyleSchema = z.discriminatedUnion(
  'kind',
  styleOptions as [(typeof styleOptions)[number], ...typeof styleOptions],
)

/** Most element styles of a site, base styles that were decided included. */
export const mostStyles = 300

/** What all pages of a site share. */
export const frameSchema = z.strictObject({
  schema: z.literal(frameVersion),
  name: nameText,
  palette: paletteSchema,
  themes: themesSchema,
  edition: z.enum(editions),
  styles: z.record(styleId, elementStyleSchema),
  settings: settingsSchema,
  /** Header and footer. */
  body: bodySchema,
  customCss: plainText(mostCustomCss),
  /** The picture that browsers show beside the title of a page. */
  siteIcon: z.strictObject({ picture: pictureId }).optional(),
  addOns: z.array(addOnSchema).max(mostAddOns),
  studies: z.array(studySchema).max(mostStudies),
})

export type ElementStyle = z.infer<typeof elementStyleSchema>
export type Frame = z.infer<typeof frameSchema>

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
  // 8: what is decided for the whole site lies flat, and sizes follow a scale.
  7: settingsStep,
  // 9: buttons have a form and an icon.
  8: buttonFormStep,
  // 10: add-ons are of a kind, and their colours are decisions; a site can have an icon.
  9: addOnStep,
}
