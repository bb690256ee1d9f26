import type { Transaction } from 'sequelize'
import { select } from '../database/sets'
import type { RecordState } from '../records'

/**
 * The pages that mention a picture which is otherwise, new or gone since the site was published:
 * their own text is the same, what they write of the picture is not.
 */
export async function pagesOfChangedPictures(
  siteId: string,
  pictures: readonly RecordState[],
  transaction: Transaction,
): Promise<Set<string>> {
  const before = await select<{ id: string; hash: string }>(
    `select s.id, s.hash from publications p
       join snapshot_records s on s.snapshot = p.snapshot and s.kind = 'picture'
     where p.site_id = $1`,
    [siteId],
    transaction,
  )
  const [now, then] = [pictures, before].map(
    (all) => new Map(all.map(({ id, hash }) => [id as string, hash])),
  )
  const ids = new Set([...now!.keys(), ...then!.keys()])
  const changed = [...ids].filter((id) => now!.get(id) !== then!.get(id))
  if (changed.length === 0) return new Set()
  const rows = await select<{ id: string }>(
    `select r.id from records r join contents c on c.site_id = r.site_id and c.hash = r.hash
     where r.site_id = $1 and r.kind = 'page'
       and exists (select from unnest($2::text[]) as i (id)
         where position('"' || i.id || '"' in c.body) > 0)`,
    [siteId, changed],
    transaction,
  )
  return new Set(rows.map(({ id }) => id))
}
