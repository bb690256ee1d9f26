import type { Transaction } from 'sequelize'
import type { DocId, RecordKind } from '@/core/site'
import type { Use } from '@/core/uses'
import type { UseQuestion } from '@/core/wide'
import { select } from '../database/sets'
import { useColumns } from './columns'
import { decisionReader, useOfRow, type Decided, type UseRow } from './rows'
import { whereUses } from './questions'

export interface KeptUse {
  readonly kind: RecordKind
  readonly id: string
  readonly use: Use
}

/** What a use is read from; which record it is beside is known. */
const columns = Object.keys(useColumns)
  .filter((name) => name !== 'record' && name !== 'site_id')
  .map((name) => `u.${name}`)
  .join(', ')

type Row = UseRow & { readonly kind: RecordKind; readonly id: string }

/** The uses that are asked for in some records, in the readers' order. */
export async function keptUsesIn(
  siteId: string,
  question: UseQuestion,
  refs: ReadonlyArray<{ readonly kind: string; readonly id: string }>,
  transaction?: Transaction,
): Promise<KeptUse[]> {
  const { sql, bind } = whereUses(question, 4)
  const rows = await select<Row>(
    `select r.kind, r.id, ${columns} from records r join uses u on u.record = r.no
     where r.site_id = $1 and (r.kind, r.id) in (select * from unnest($2::text[], $3::text[]))
       and ${sql} order by r.no, u.n`,
    [siteId, refs.map(({ kind }) => kind), refs.map(({ id }) => id), ...bind],
    transaction,
  )
  const decided = decisionReader()
  return rows.map((row) => ({
    kind: row.kind,
    id: row.id,
    use: useOfRow(row, row.id as DocId, decided(row)),
  }))
}

/** What the uses on pages that are asked for decide, each decision once; of those that stand by themselves. */
export async function decidedOnPages(
  siteId: string,
  question: UseQuestion,
  transaction?: Transaction,
): Promise<Decided[]> {
  const { sql, bind } = whereUses(question, 2)
  const rows = await select<Pick<Row, 'written' | 'slot' | 'shade'>>(
    `select distinct u.written, u.slot, u.shade from use_groups u join records r on r.no = u.record
     where u.site_id = $1 and r.kind = 'page' and not u.is_text and ${sql}`,
    [siteId, ...bind],
    transaction,
  )
  const decided = decisionReader()
  return rows.map((row) => decided({ ...row, css: null, start: null }))
}
