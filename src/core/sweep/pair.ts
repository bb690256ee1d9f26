import * as z from 'zod'
import { shadeSchema } from '../color'
import { colorDecision, colorText, pageId, slotId } from '../site'
import { ticksSchema } from './ticks'

/** Most colours that a person says of whether they are of a family. */
export const mostOfFamily = 200

const members = z.array(colorText).max(mostOfFamily).optional()

/** Loose colours within a CIEDE2000 distance of a value, and what moves along with them. */
export const looseFrom = z.strictObject({
  value: colorText,
  within: z.number().min(0).max(20),
  family: z.literal(true).optional(),
  /** Colours that a person counts among its family, and those that a person does not, whatever the rule says. */
  also: members,
  except: members,
})

export type LooseFrom = z.infer<typeof looseFrom>

/** Most pairs of one sweep. */
export const mostPairs = 50

/**
 * What is looked for: all that refers to a slot, or to one shade of it alone; or loose colours
 * within a CIEDE2000 distance of a value, and with it its tints, shades and transparent variants,
 * which move along.
 */
export const sweepFrom = z.union([
  z.strictObject({ slot: slotId, shade: shadeSchema.optional() }),
  looseFrom,
])

export const sweepPair = z.strictObject({ from: sweepFrom, to: colorDecision })

export const sweepPaints = ['fill', 'text', 'line', 'shadow'] as const
export type SweepPaints = (typeof sweepPaints)[number]

/** What is replaced by what, and where. */
export const sweepRequest = z.strictObject({
  pairs: z.array(sweepPair).min(1).max(mostPairs),
  /** One page with header and footer left alone, or the whole site. */
  scope: z.union([z.literal('site'), pageId]),
  /** Only what paints these; all where absent. */
  paints: z.array(z.enum(sweepPaints)).min(1).optional(),
  /** What the person ticked of it; all where absent. */
  ticks: ticksSchema.optional(),
})

export type SweepFrom = z.infer<typeof sweepFrom>
export type SweepPair = z.infer<typeof sweepPair>
export type SweepRequest = z.infer<typeof sweepRequest>
