import type { Transaction } from 'sequelize'
import type { RecordKind } from '@/core/site'
import { atOneMoment } from '../database/connection'
import { select } from '../database/sets'
import { readContent, type Content } from '../records/stored'
import { indexTables, rowKeys } from './columns'
import { indexOf, type RecordIndex } from './rows'

/** A record beside which something else is kept than the readers say of it. */
export interface IndexFault {
  readonly site: string
  readonly record: string
  readonly table: keyof RecordIndex
}

interface Row extends Content {
  readonly no: string
  readonly site_id: string
  readonly kind: RecordKind
  readonly id: string
}

/** The rows that the readers give, in the order of what tells them apart. */
const inOrder = ({ looks, ...others }: RecordIndex): RecordIndex => ({
  ...others,
  looks: [...looks].sort((a, b) => (a.key < b.key ? -1 : 1)),
})

/** The rows that are kept beside a record, in that order, without what names the record. */
async function keptIn(table: keyof RecordIndex, no: string, transaction: Transaction) {
  const rows = await select<Record<string, unknown>>(
    `select * from ${table} where record = $1 order by ${rowKeys[table]}`,
    [no],
    transaction,
  )
  return rows.map(({ record: _record, site_id: _site, ...row }) => row)
}

const textOf = (rows: ReadonlyArray<object>) =>
  JSON.stringify(rows.map((row) => Object.entries(row).sort(([a], [b]) => (a < b ? -1 : 1))))

/** Sites whose counted looks are not the sum of those beside their records. */
async function miscounted(siteId?: string): Promise<IndexFault[]> {
  const rows = await select<{ site: string }>(
    `select distinct coalesce(s.site_id, l.site_id) as site
     from (select site_id, look, count from site_looks where count <> 0) s
       full join (select site_id, look, sum(count) as count from looks group by 1, 2) l
         on l.site_id = s.site_id and l.look = s.look
     where s.count is distinct from l.count
       and ($1::text is null or coalesce(s.site_id, l.site_id) = $1)`,
    [siteId ?? null],
  )
  return rows.map(({ site }) => ({ site, record: 'all pages together', table: 'looks' }))
}

/** Records whose groups of uses are not what is counted of them, or hold texts beside decisions. */
async function misgrouped(siteId?: string): Promise<IndexFault[]> {
  const rows = await select<{ site: string; record: string }>(
    `select distinct g.site_id as site, r.kind || '/' || r.id as record
     from use_groups g join records r on r.no = g.record
       left join (select record, g, count(*) as count, bool_and(start is not null) as all_text,
         bool_or(start is not null) as any_text from use_spots group by record, g) s using (record, g)
     where (g.count, g.is_text, g.is_text) is distinct from (s.count, s.all_text, s.any_text)
       and ($1::text is null or g.site_id = $1)`,
    [siteId ?? null],
  )
  return rows.map((row) => ({ ...row, table: 'uses' }))
}

/**
 * Compares what is kept beside every record with what the readers say of it;
 * of one site, or of all. Gives the faults, and how many records were read.
 */
export async function checkIndex(
  siteId?: string,
): Promise<{ readonly records: number; readonly faults: readonly IndexFault[] }> {
  const faults: IndexFault[] = []
  let [records, last] = [0, '0']
  for (;;) {
    const batch = await atOneMoment(async (transaction) => {
      const rows = await select<Row>(
        `select r.no, r.site_id, r.kind, r.id, c.hash, c.schema, c.body
         from records r join contents c on c.site_id = r.site_id and c.hash = r.hash
         where r.no > $1 and ($2::text is null or r.site_id = $2) order by r.no limit 50`,
        [last, siteId ?? null],
        transaction,
      )
      for (const { no, site_id: site, kind, id, ...content } of rows) {
        const record = readContent(kind, content, { remember: false })
        const index = inOrder(await indexOf({ kind, id }, record))
        for (const table of indexTables) {
          const kept = await keptIn(table, no, transaction)
          if (textOf(kept) !== textOf(index[table])) {
            faults.push({ site, record: `${kind}/${id}`, table })
          }
        }
      }
      return rows
    })
    if (batch.length === 0) {
      faults.push(...(await misgrouped(siteId)), ...(await miscounted(siteId)))
      return { records, faults }
    }
    records += batch.length
    last = batch.at(-1)!.no
  }
}
