import type { Change } from '@/core/changes'
import { readSvgColors } from '@/core/markup'
import {
  canonicalJson,
  type Frame,
  type Page,
  type Picture,
  type RecordRef,
  type SiteRecord,
} from '@/core/site'
import {
  bandsOf,
  exchangedDecisions,
  usePartsIn,
  writtenDecision,
  type ExchangedDecision,
  type TextExchange,
  type UsePart,
} from '@/core/uses'
import type { Columns } from '../database/sets'
import {
  bandRow,
  lookChangeRows,
  pictureIndex,
  useRow,
  writtenRow,
  type RecordIndex,
  type UseRow,
} from './rows'

/** Where such changes stand beside a site until all of a wide edit is ready. */
export const stagedTables = [
  'staged_uses',
  'staged_bands',
  'staged_looks',
  'staged_decisions',
  'staged_exchanges',
] as const

/** What a decision comes to, in the row of its use. */
export type ExchangedRow = Pick<UseRow, 'path' | 'color' | 'slot' | 'shade' | 'written'>

/** What all uses of a decision come to. */
export interface EverywhereRow extends Omit<ExchangedRow, 'path'> {
  readonly from_text: string
  readonly to_text: string
  readonly from_slot: string | null
  readonly from_shade: string | null
  readonly from_written: string
}

export const everywhereColumns: Columns<EverywhereRow> = {
  from_text: 'text',
  to_text: 'text',
  from_slot: 'text',
  from_shade: 'text',
  from_written: 'text',
  color: 'text',
  slot: 'text',
  shade: 'text',
  written: 'text',
}

/** What an index comes to from one state of a record to another. */
export interface IndexChange {
  /** How many numbered rows there are; null where there are as many as before, each where it was. */
  readonly counts: { readonly [K in Exclude<keyof RecordIndex, 'looks'>]: number | null }
  /** Rows that are other; looks by how many more of them there are, or fewer. */
  readonly rows: RecordIndex
  /** Uses that are where they were and come to something else. */
  readonly exchanged: readonly ExchangedRow[]
  /** The same of all uses that hold a decision, wherever they are. */
  readonly everywhere: readonly EverywhereRow[]
}

/** Rows hold nothing but texts, numbers and the like. */
function isSameRow<Row extends object>(a: Row, b: Row | undefined): boolean {
  if (!b) return false
  for (const key in a) if (a[key] !== b[key]) return false
  return true
}

const changedRows = <Row extends object>(after: readonly Row[], before: readonly Row[]): Row[] =>
  after.filter((row, i) => !isSameRow(row, before[i]))

/** Parts of uses with the number that the first use of each has. */
function numbered(parts: readonly UsePart[]): Array<UsePart & { readonly first: number }> {
  let first = 0
  return parts.map(({ of, from, count, uses }) => {
    const part = { of, from, count, uses, first }
    first += count
    return part
  })
}

/** The rows of uses that are other, read of those things alone that changed, or moved in the list. */
function changedUses(after: readonly UsePart[], before: readonly UsePart[]): UseRow[] {
  const earlier = numbered(before)
  return numbered(after).flatMap((part, i) => {
    const was = earlier[i]
    const isSame = was?.of === part.of && was?.from === part.from && was?.count === part.count
    if (isSame && was?.first === part.first) return []
    const rowsOf = (each: typeof part) => each.uses().map((use, n) => useRow(use, each.first + n))
    return was?.first === part.first ? changedRows(rowsOf(part), rowsOf(was)) : rowsOf(part)
  })
}

const countParts = (parts: readonly UsePart[]) => parts.reduce((sum, { count }) => sum + count, 0)

const exchangedRow = ({ path, decision }: ExchangedDecision): ExchangedRow => ({
  path: JSON.stringify(path),
  ...writtenRow(writtenDecision(decision)),
})

/** How an exchange of decisions is told to the database. */
export function everywhereRow({ from, to }: Pick<TextExchange, 'from' | 'to'>): EverywhereRow {
  const { slot, shade, written } = writtenRow(writtenDecision(from))
  return {
    from_text: canonicalJson(from),
    to_text: canonicalJson(to),
    from_slot: slot,
    from_shade: shade,
    from_written: written,
    ...writtenRow(writtenDecision(to)),
  }
}

/** How an index changes where all of some decisions are exchanged: it tells by itself what becomes of it. */
export const everywhereChange = (exchanges: readonly TextExchange[]): IndexChange => ({
  counts: { uses: null, bands: null },
  rows: { uses: [], bands: [], looks: [] },
  exchanged: [],
  everywhere: exchanges.map(everywhereRow),
})

type Bodied = Frame | Page

const hasBody = ({ kind }: RecordRef, record: SiteRecord | undefined): record is Bodied =>
  record !== undefined && (kind === 'frame' || kind === 'page')

/** How the uses of a record change with it, by reading what is other in it. */
function readUses(ref: RecordRef, before: SiteRecord | undefined, after: Bodied) {
  const was = hasBody(ref, before) ? usePartsIn(ref, before, readSvgColors) : []
  const is = usePartsIn(ref, after, readSvgColors)
  return { count: countParts(is), uses: changedUses(is, was), exchanged: [] }
}

const countsOf = ({ uses, bands }: RecordIndex) => ({ uses: uses.length, bands: bands.length })

/** The same of a record that may be a picture, whose colours are in its file. */
export async function indexChangeOf(
  ref: RecordRef,
  before: SiteRecord | undefined,
  after: SiteRecord,
  changes: readonly Change[],
): Promise<IndexChange> {
  if (ref.kind !== 'picture') return indexChange(ref, before, after, changes)
  const rows = await pictureIndex(ref, after as Picture)
  return { counts: countsOf(rows), rows, exchanged: [], everywhere: [] }
}

/** How what is kept beside a record changes with it; `changes` lead from the one to the other. */
export function indexChange(
  ref: RecordRef,
  before: SiteRecord | undefined,
  after: SiteRecord,
  changes: readonly Change[],
): IndexChange {
  if (!hasBody(ref, after)) {
    const rows = { uses: [], bands: [], looks: [] }
    return { counts: { uses: 0, bands: 0 }, rows, exchanged: [], everywhere: [] }
  }
  const was = hasBody(ref, before) ? before.body : undefined
  const known = was && exchangedDecisions(changes)
  const { count, uses, exchanged } = known
    ? { count: null, uses: [], exchanged: known.map(exchangedRow) }
    : readUses(ref, before, after)
  const bands = bandsOf(after.body).map(bandRow)
  return {
    counts: { uses: count, bands: bands.length },
    rows: {
      uses,
      bands: changedRows(bands, was ? bandsOf(was).map(bandRow) : []),
      looks: lookChangeRows(ref, was, after.body),
    },
    exchanged,
    everywhere: [],
  }
}
