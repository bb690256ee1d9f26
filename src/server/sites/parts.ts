import { done, type PartPlaces, type Result } from '@/core/payloads'
import { sectionsInOrder } from '@/core/site'
import { siteFor, type Actor } from '../access'
import { atOneMoment } from '../database/connection'
import { select } from '../database/sets'
import { loadFrame } from '../records'
import { countPages } from './pages'

/** Most pages that are named where it is told on which a part stands. */
const mostNamed = 5

/** On how many pages each part of a site stands; header and footer on all that have none of their own. */
export function partPlaces(actor: Actor, siteId: string): Promise<Result<PartPlaces>> {
  return atOneMoment(async (transaction) => {
    const found = await siteFor(actor, 'read', siteId, transaction)
    if (!found.ok) return found
    const { body } = await loadFrame(siteId, transaction)
    const all = await countPages(siteId, transaction)
    const rows = await select<{ key: string; pages: number; titles: string[] }>(
      `select case b.kind when 'part' then b.section else b.kind end as key,
         count(distinct r.no)::int as pages,
         (array_agg(r.title order by r.position, r.id))[1:${mostNamed}] as titles
       from bands b join records r on r.no = b.record
       where b.site_id = $1 and r.kind = 'page' and b.kind <> 'band'
       group by 1, b.kind`,
      [siteId],
      transaction,
    )
    const counted = new Map(rows.map((row) => [row.key, row]))
    return done(
      Object.fromEntries(
        sectionsInOrder(body).map(({ id, kind }) => {
          const { pages = 0, titles = [] } = counted.get(kind === 'band' ? id : kind) ?? {}
          return [id, kind === 'band' ? { pages, titles } : { pages: all - pages, titles: [] }]
        }),
      ),
    )
  })
}
