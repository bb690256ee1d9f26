import { colorKey, colorOf, clipToGamut, type Shade } from '@/core/color'
import { readSvgColors } from '@/core/markup'
import {
  canonicalJson,
  isBound,
  type Body,
  type BoundDecision,
  type Frame,
  type Page,
  type Picture,
  type Placed,
  type RecordKind,
  type RecordRef,
  type SiteRecord,
  type SlotId,
} from '@/core/site'
import {
  bandsOf,
  countLooks,
  lookChanges,
  usesIn,
  type BandEntry,
  type CountedLook,
  type Use,
} from '@/core/uses'
import { hashOf } from '../records/stored'
import { vectorText } from '../storage'

/** Raised whenever a reader finds more, less or otherwise than before: all records are then read anew. */
export const readersVersion = 12

/** A use as it is kept beside its record. */
export interface UseRow {
  readonly n: number
  readonly place: string
  readonly color: string | null
  readonly slot: string | null
  readonly shade: string | null
  readonly written: string
  readonly css: string | null
  readonly escape: string | null
  readonly object: string
  readonly property: string
  readonly state: string | null
  readonly paints: string
  readonly path: string
  readonly start: number | null
  readonly context: string | null
  readonly context_at: number | null
  readonly label: string
  readonly owner: string
  readonly bindable: boolean
}
export interface BandRow {
  readonly n: number
  readonly section: string
  readonly kind: Placed<BandEntry>['kind']
  readonly name: string
  readonly theme: string
  readonly fill: string | null
  readonly hidden: boolean
}
/** A look of a record; none of them stands there twice, and they have no order. */
export interface LookRow {
  readonly key: string
  readonly look: string
  readonly count: number
}

/** All that is kept beside a record to answer questions from. */
export interface RecordIndex {
  readonly uses: readonly UseRow[]
  readonly bands: readonly BandRow[]
  readonly looks: readonly LookRow[]
}

/** What a use comes to, and how that is written. */
export const writtenRow = ({
  decision,
  color,
  text,
}: Pick<Use, 'decision' | 'color' | 'text'>) => ({
  color: isBound(decision) || !color ? null : colorKey(color),
  slot: isBound(decision) ? decision.slot : null,
  shade: isBound(decision) && decision.shade ? canonicalJson(decision.shade) : null,
  written: text,
})

export function useRow(use: Use, n: number): UseRow {
  return {
    n,
    place: use.place,
    ...writtenRow(use),
    css: use.css ?? null,
    escape: use.escape ?? null,
    object: use.object,
    property: use.property,
    state: use.state ?? null,
    paints: use.paints,
    path: JSON.stringify(use.path),
    start: use.start ?? null,
    context: use.context ?? null,
    context_at: use.textAt ?? null,
    label: use.label,
    owner: canonicalJson(use.owner),
    bindable: use.bindable,
  }
}

/** What refers to a slot, as it is kept. */
export const boundRow = (slot: string, shade: string | null): BoundDecision => ({
  slot: slot as SlotId,
  ...(shade === null ? {} : { shade: JSON.parse(shade) as Shade }),
})

/** What a use decides, as `useOfRow` reads it. */
export type Decided = Pick<Use, 'decision' | 'color'>

type DecidedRow = Pick<UseRow, 'css' | 'written' | 'slot' | 'shade' | 'start'>

function decidedOf({ css, written, slot, shade, start }: DecidedRow): Decided {
  if (slot !== null) return { decision: boundRow(slot, shade) }
  const value = css ?? written
  const color = colorOf(value)
  return {
    decision: { value },
    ...(color ? { color: start === null ? color : clipToGamut(color) } : {}),
  }
}

/** Reads what rows decide, once for all that decide alike. */
export function decisionReader(): (row: DecidedRow) => Decided {
  const known = new Map<string, Decided>()
  return (row) => {
    const { css, written, slot, shade, start } = row
    const key = `${css ?? written} ${slot ?? ''} ${shade ?? ''} ${start === null}`
    const found = known.get(key) ?? decidedOf(row)
    known.set(key, found)
    return found
  }
}

type Draft<T> = { -readonly [K in keyof T]: T[K] }

/** A kept use as the readers gave it. */
export function useOfRow(row: UseRow, doc: Use['doc'], decided = decidedOf(row)): Use {
  // Many thousand of them are read at a time: members that it does not have are not spread into it.
  const use: Draft<Use> = {
    place: row.place as Use['place'],
    doc,
    path: JSON.parse(row.path) as Use['path'],
    text: row.written,
    decision: decided.decision,
    paints: row.paints as Use['paints'],
    object: row.object,
    property: row.property,
    bindable: row.bindable,
    label: row.label,
    owner: JSON.parse(row.owner) as Use['owner'],
  }
  if (decided.color) use.color = decided.color
  if (row.start !== null) use.start = row.start
  if (row.state !== null) use.state = row.state as NonNullable<Use['state']>
  if (row.css !== null) use.css = row.css
  if (row.escape !== null) use.escape = row.escape as NonNullable<Use['escape']>
  if (row.context !== null) use.context = row.context
  if (row.context_at !== null) use.textAt = row.context_at
  return use
}

export function bandRow(band: Placed<BandEntry>, n: number): BandRow {
  const { id: section, kind } = band
  if (band.kind === 'part') {
    return { n, section, kind, name: '', theme: '', fill: null, hidden: false }
  }
  const { name, theme, fill, hidden = false } = band
  return { n, section, kind, name, theme, fill: fill ? canonicalJson(fill) : null, hidden }
}

const lookRow = ({ key: look, count }: CountedLook): LookRow => ({
  key: hashOf(look).slice(0, 32),
  look,
  count,
})

/** The key of a look as the database makes it, where it puts one. */
export const lookKeyOf = (column: string): string =>
  `left(encode(sha256(convert_to(${column}, 'UTF8')), 'hex'), 32)`

/** Header and footer are counted where they are at hand, in every window; only pages are counted here. */
export const lookRows = ({ kind }: RecordRef, body: Body): LookRow[] =>
  kind === 'page' ? countLooks(body).map(lookRow) : []

/** How many more there come to be of each look, or fewer. */
export const lookChangeRows = (
  { kind }: RecordRef,
  before: Body | undefined,
  after: Body,
): LookRow[] => (kind === 'page' ? lookChanges(before, after).map(lookRow) : [])

const emptyIndex: RecordIndex = { uses: [], bands: [], looks: [] }

/** What the readers say of a vector picture, whose colours are in its file. One whose file is gone shows none. */
export async function pictureIndex(ref: RecordRef, picture: Picture): Promise<RecordIndex> {
  const svg = picture.mediaType === 'image/svg+xml' ? await vectorText(picture.file) : undefined
  if (svg === undefined) return emptyIndex
  return { ...emptyIndex, uses: usesIn(ref, picture, readSvgColors, svg).map(useRow) }
}

/** What the readers say of a record. */
export async function indexOf(ref: RecordRef, record: SiteRecord): Promise<RecordIndex> {
  return ref.kind === 'picture' ? pictureIndex(ref, record as Picture) : indexOfText(ref, record)
}

/** The same of a record that tells all by itself. */
export function indexOfText(ref: RecordRef, record: SiteRecord): RecordIndex {
  if (ref.kind !== 'frame' && ref.kind !== 'page') return emptyIndex
  const { body } = record as Frame | Page
  return {
    uses: usesIn(ref, record, readSvgColors).map(useRow),
    bands: bandsOf(body).map(bandRow),
    looks: lookRows(ref, body),
  }
}

/**
 * What an index hangs on: where it is the same, the index need not be written
 * again. A page’s is its text; most edits of a frame leave its uses as they are.
 */
export const indexHash = (
  kind: RecordKind,
  contentHash: string,
  index: () => RecordIndex,
): string => (kind === 'frame' ? hashOf(JSON.stringify(index())) : pageIndexHash(contentHash))

export const pageIndexHash = (contentHash: string): string => `${readersVersion} ${contentHash}`
