import * as z from 'zod'
import { kinds, type KindId } from '../elements'
import { elementId, styleId } from './ids'
import { looksOf } from './looks'

/** Most elements in one section or in one element. */
export const mostChildren = 200

function elementOf<Kind extends KindId>(kind: Kind) {
  return z.strictObject({
    id: elementId,
    kind: z.literal(kind),
    content: kinds[kind].content as unknown as (typeof kinds)[Kind]['content'],
    style: styleId.optional(),
    looks: looksOf(kind).optional(),
    /** Only for kinds that hold others. */
    children: z.array(elementId).max(mostChildren).optional(),
  })
}

const options = (Object.keys(kinds) as KindId[]).map(elementOf)

/** One element of a section. Its content is checked by its kind. */
export const elementSchema = z.discriminatedUnion(
  'kind',
  options as [(typeof options)[number], ...typeof options],
)

export type SiteElement = z.infer<typeof elementSchema>
