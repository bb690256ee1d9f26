import type { Transaction } from 'sequelize'
import type { DocId, RecordKind } from '@/core/site'
import type { Use } from '@/core/uses'
import type { UseQuestion } from '@/core/wide'
import { select } from '../database/sets'
import { useOfRow, type UseRow } from './rows'
import { whereUses } from './questions'

export interface KeptUse {
  readonly kind: RecordKind
  readonly id: string
  readonly use: Use
}

type Row = UseRow & { readonly kind: RecordKind; readonly id: string }

const ofRow = ({ kind, id, ...row }: Row): KeptUse => ({
  kind,
  id,
  use: useOfRow(row, id as DocId),
})

/** The uses that are asked for in some records, in the readers' order. */
export async function keptUsesIn(
  siteId: string,
  question: UseQuestion,
  refs: ReadonlyArray<{ readonly kind: string; readonly id: string }>,
  transaction?: Transaction,
): Promise<KeptUse[]> {
  const { sql, bind } = whereUses(question, 4)
  const rows = await select<Row>(
    `select r.kind, r.id, u.* from records r join uses u on u.record = r.no
     where r.site_id = $1 and (r.kind, r.id) in (select * from unnest($2::text[], $3::text[]))
       and ${sql} order by r.no, u.n`,
    [siteId, refs.map(({ kind }) => kind), refs.map(({ id }) => id), ...bind],
    transaction,
  )
  return rows.map(ofRow)
}
