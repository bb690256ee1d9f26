import { done, type Result, type TextUse } from '@/core/payloads'
import { useKey } from '@/core/uses'
import { siteFor, type Actor } from '../access'
import { atOneMoment } from '../database/connection'
import { select } from '../database/sets'
import { ofRow, type KeptRow } from './kept-uses'

/** The colours in the text of one element, in their order there; none for elements without any. */
export function elementUses(
  actor: Actor,
  siteId: string,
  doc: string,
  element: string,
): Promise<Result<TextUse[]>> {
  return atOneMoment(async (transaction) => {
    const found = await siteFor(actor, 'read', siteId, transaction)
    if (!found.ok) return found
    const rows = await select<KeptRow>(
      `select r.kind, r.id, u.* from records r join uses u on u.record = r.no
       where r.site_id = $1 and r.id = $2 and r.kind = $3 and u.start is not null and u.path = $4
       order by u.n`,
      [
        siteId,
        doc,
        doc === 'frame' ? 'frame' : 'page',
        JSON.stringify(['body', 'elements', element, 'content', 'html']),
      ],
      transaction,
    )
    return done(
      rows.map((row): TextUse => {
        const { use } = ofRow(row)
        const { text, property, decision, context, textAt, bindable, owner } = use
        return {
          key: useKey(use),
          text,
          property,
          decision,
          bindable,
          ...(owner.line === undefined ? {} : { line: owner.line }),
          ...(context === undefined ? {} : { context, textAt: textAt ?? 0 }),
        }
      }),
    )
  })
}
