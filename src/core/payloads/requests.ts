import { fontPairs } from '../designs/font-pairs'
import * as z from 'zod'
import { mostSnippet } from '../elements'
import { editSchema } from '../edit'
import { liverySchema } from '../livery'
import { colorText, pageId, plainText, typedName } from '../site'
import { recipeSchema, sweepRequest } from '../sweep'
import { exchangeAsked } from '../exchange'
import { wideIntent } from '../wide'

/** Largest request that the server reads, in bytes of UTF-8. */
export const mostSent = 4_000_000
/** Most edits in one request. */
const mostEdits = 200

/** As many as the column holds. */
const revision = z.number().int().min(0).max(2_147_483_647)

/** The bodies that the interface sends. `base` is the revision it knows. */
export const saveRequest = z.strictObject({
  base: revision,
  edits: z
    .array(z.strictObject({ clientId: z.uuid(), edit: editSchema }))
    .min(1)
    .max(mostEdits)
    .refine(
      (edits) => new Set(edits.map(({ clientId }) => clientId)).size === edits.length,
      'holds one client id twice',
    ),
})
export const stepRequest = z.strictObject({ base: revision })
export const checkpointRequest = z.strictObject({ base: revision, name: typedName })
export const wideRequest = z.strictObject({
  base: z.union([revision, z.literal('any')]),
  intent: wideIntent,
})
export const nothingRequest = z.strictObject({})
/** `gone` where the window goes. */
export const presentRequest = z.strictObject({
  window: z.uuid(),
  page: pageId.optional(),
  gone: z.literal(true).optional(),
})
/** The pages that are to get a rhythm, all where they are left out; and those that are shown. */
export const rhythmRequest = z.strictObject({
  pages: z.array(pageId).min(1).max(10_000).optional(),
  shown: z.array(pageId).max(200),
})
/** One hue of a picture becomes another; how far from it counts, in degrees of OKLCH. */
export const recolorRequest = z.strictObject({
  from: colorText,
  to: colorText,
  tolerance: z.number().min(1).max(90),
})
export type RecolorRequest = z.infer<typeof recolorRequest>
/** An edit to take back; `leaves` what somebody changed since. */
export const takeBackRequest = z.strictObject({
  base: z.union([revision, z.literal('any')]),
  revision,
  leaves: z.boolean(),
})
export type TakeBackRequest = z.infer<typeof takeBackRequest>
export const keepRecipeRequest = z.strictObject({ name: typedName, recipe: recipeSchema })
/** What is done to a recipe that is kept. */
export const recipeDeed = z.discriminatedUnion('deed', [
  z.strictObject({ deed: z.literal('rename'), name: typedName }),
  z.strictObject({ deed: z.literal('remove') }),
])
export type RecipeDeed = z.infer<typeof recipeDeed>
export const dryRunRequest = z.union([
  z.strictObject({ sweep: sweepRequest }),
  z.strictObject({ exchange: exchangeAsked }),
])
/** Begins a site: empty, perhaps around a colour, or as a copy of another one. */
export const beginRequest = z.strictObject({
  name: typedName,
  from: z.union([
    z.strictObject({
      /** `empty`, or a design of ours. */
      design: z.string().max(40),
      /** Colours that the palette is made of. */
      colors: z.array(colorText).max(12).optional(),
      /** A pair of typefaces, by its id; those of the design where absent. */
      fonts: z.enum(fontPairs.map(({ id }) => id)).optional(),
    }),
    z.strictObject({ site: z.string().max(80) }),
  ]),
})
export type BeginRequest = z.infer<typeof beginRequest>

/** What is done to a site’s place on the shelf. */
export const shelfDeed = z.discriminatedUnion('deed', [
  z.strictObject({ deed: z.literal('rename'), clientId: z.uuid(), name: typedName }),
  z.strictObject({ deed: z.literal('put-away') }),
  z.strictObject({ deed: z.literal('put-back') }),
  z.strictObject({ deed: z.literal('remove'), name: z.string().max(200) }),
  z.strictObject({ deed: z.literal('bring-back') }),
])
export type ShelfDeed = z.infer<typeof shelfDeed>

export const keepLiveryRequest = z.strictObject({ name: typedName, livery: liverySchema })

/** A snippet as it is typed: what of it may stand in a page is asked before it is kept. */
export const snippetRequest = z.strictObject({ html: plainText(mostSnippet) })

/** What is done to a livery that is kept. */
export const liveryDeed = z.discriminatedUnion('deed', [
  z.strictObject({ deed: z.literal('rename'), name: typedName }),
  z.strictObject({ deed: z.literal('remove') }),
])
export type LiveryDeed = z.infer<typeof liveryDeed>

export const shareRequest = z.strictObject({ base: revision })
export const revokeRequest = z.strictObject({ share: z.string().max(80) })
export const copyPaletteRequest = z.strictObject({ to: z.string().max(80) })
