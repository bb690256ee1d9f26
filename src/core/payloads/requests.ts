import { z } from 'zod'
import { editSchema } from '../edit'
import { colorDecision, typedName, slotId, themeId } from '../site'
import { sweepRequest } from '../sweep'

/** Largest request that the server reads, in bytes of UTF-8. */
export const mostSent = 1_000_000
/** Most edits in one request. */
const mostEdits = 200

const revision = z.number().int().min(0)

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
export const returnRequest = z.strictObject({ base: revision, checkpoint: z.uuid() })
export const removeSlotRequest = z.strictObject({ base: revision, slot: slotId, to: colorDecision })
export const dryRunRequest = z.strictObject({ sweep: sweepRequest })
export const applySweepRequest = z.strictObject({ base: revision, sweep: sweepRequest })
export const shareRequest = z.strictObject({ base: revision })
export const revokeRequest = z.strictObject({ share: z.string().max(80) })
export const copyPaletteRequest = z.strictObject({ to: z.string().max(80) })
export const removeThemeRequest = z.strictObject({ base: revision, theme: themeId, to: themeId })
