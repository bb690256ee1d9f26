import type { Transaction } from 'sequelize'
import { writeHex } from '@/core/color'
import { decisionWords } from '@/core/edit'
import type { HitLine } from '@/core/payloads'
import {
  isBound,
  siteDocs,
  type ColorDecision,
  type DocId,
  type Frame,
  type SiteDocs,
} from '@/core/site'
import { hitFor, type Hit, type Outcomes, type SweepRequest } from '@/core/sweep'
import { usesUnder, type Use } from '@/core/uses'
import { select } from '../database/sets'
import { loadFrame } from '../records'
import { whereHits, type ColorPlan, type PlannedHit } from './plans'
import { decisionReader, useOfRow, type UseRow } from './rows'

/** Whether a hit becomes bound (1), stops to be so (−1), or neither. */
export const bindsOf = ({ use, becomesBound }: Pick<Hit, 'use' | 'becomesBound'>) =>
  (Number(becomesBound) - Number(isBound(use.decision))) as -1 | 0 | 1

/** As it is written; letters of base64 as they are read. */
const asRead = ({ escape, css, text }: Use) => (escape === 'base64' ? (css ?? text) : text)

type HitRow = UseRow & { readonly kind: string; readonly id: string; readonly record: string }

const docOf = ({ kind, id }: HitRow) => (kind === 'frame' ? 'frame' : id) as DocId

/** Reads what becomes of kept uses; what is decided alike is thought through once. */
export function hitReader({ palette }: Frame, request: SweepRequest) {
  const decided = decisionReader()
  const outcomes: Outcomes = new Map()
  return (row: UseRow, doc: DocId): Hit | undefined => {
    const [use] = usesUnder(palette, [useOfRow(row, doc, decided(row))])
    return use && hitFor(palette, use, request, outcomes)
  }
}

function linesOf(hit: Hit | undefined, docs: SiteDocs): HitLine[] {
  if (!hit) return []
  const { key, use, pair, after, beforeColor, afterColor, change } = hit
  const isText = 'at' in change
  return [
    {
      key,
      pair,
      place: use.place,
      doc: use.doc,
      object: use.object,
      property: use.property,
      paints: use.paints,
      ...(use.state ? { state: use.state } : {}),
      owner: use.owner,
      label: use.label,
      before: isText ? asRead(use) : decisionWords(use.decision, docs),
      after: isText ? after : decisionWords((change as { to: unknown }).to as ColorDecision, docs),
      beforeColor: beforeColor ? writeHex(beforeColor) : 'transparent',
      afterColor: writeHex(afterColor),
      binds: bindsOf(hit),
      ...(use.context === undefined ? {} : { context: use.context, textAt: use.textAt }),
    },
  ]
}

/** The uses of some records that a sweep of colours would change, in the readers' order. */
export async function colorHits(
  siteId: string,
  plan: Pick<ColorPlan, 'request' | 'question' | 'same'>,
  records: readonly string[],
  transaction: Transaction,
  known?: Frame,
): Promise<PlannedHit[]> {
  const { sql, bind } = whereHits(plan)
  const at = 2 + bind.length
  const rows = await select<HitRow>(
    `select r.kind, r.id, u.* from uses u join records r on r.no = u.record
     where ${sql} and r.no = any($${at}::bigint[]) and u.record = any($${at}::bigint[])
     order by u.record, u.n`,
    [siteId, ...bind, records],
    transaction,
  )
  const frame = known ?? (await loadFrame(siteId, transaction))
  const docs = siteDocs(frame)
  const read = hitReader(frame, plan.request)
  return rows.map((row) => ({
    place: row.place as Use['place'],
    doc: docOf(row),
    lines: () => linesOf(read(row, docOf(row)), docs),
  }))
}
