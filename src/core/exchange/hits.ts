import { applyChanges, type Change, type StretchChange } from '../changes'
import { changedPart, isWholeRecord, nameText, type RecordRef, type SiteRecord } from '../site'
import { tickedBy, type Facets, type Ticks } from '../sweep'
import type { UsePath } from '../uses'
import type { Found, KnownOfSite } from './kind'
import { kindOfExchange, type ExchangeAsked } from './kinds'
import { textOf, type Spot } from './spot'
import { spotsIn } from './spots'

/** Characters that are told before and after a find. */
const [BEFORE, AFTER] = [24, 32]

/** One find with what comes in its place. */
export interface ExchangeHit extends Facets, Pick<Spot, 'label' | 'owner' | 'property'> {
  readonly key: string
  readonly before: string
  readonly after: string
  /** A little of what stands around it, where it is not all of its text; it begins at `textAt`. */
  readonly context?: string
  readonly textAt?: number
  readonly changes: readonly StretchChange[]
}

/** Why a find stays as it is: its place would become longer than it may be or no name, or what comes there is none that a snippet can refer to. */
export type Unfit = 'no-room' | 'no-snippet'

export interface UnfitHit extends Pick<ExchangeHit, 'doc' | 'label' | 'before'> {
  readonly why: Unfit
}

/** The hits of a record, in the order of its places; and what is found and cannot be exchanged. */
export interface HitsOfRecord {
  readonly hits: readonly ExchangeHit[]
  readonly unfit: readonly UnfitHit[]
}

/** What a find changes, piece by piece: all that comes in its place stands in the first piece that it touches. */
function changesOf({ pieces }: Spot, { start, end, after }: Found): StretchChange[] {
  const changes: StretchChange[] = []
  let from = 0
  for (const { path, source, text, write } of pieces) {
    const to = from + text.text.length
    if (end > from && start < to) {
      const at = text.sourceAt(Math.max(start - from, 0))
      const stop = text.sourceAt(Math.min(end, to) - from)
      const into = changes.length === 0 ? write(after) : ''
      changes.push({ path, at, out: source.slice(at, stop), in: into })
    }
    from = to
  }
  return changes
}

function around(text: string, { start, end }: Found): Pick<ExchangeHit, 'context' | 'textAt'> {
  if (start === 0 && end === text.length) return {}
  const from = Math.max(0, start - BEFORE)
  const context = text.slice(from, end + AFTER).replaceAll(/\s/g, ' ')
  return { context, textAt: start - from }
}

function hitOf(spot: Spot, found: Found): ExchangeHit {
  const { sort, place, doc, object, label, owner, property, pieces } = spot
  const text = textOf(spot)
  const changes = changesOf(spot, found)
  const [first] = changes
  return {
    key: `${doc}/${(first ?? pieces[0]!).path.join('/')}@${first?.at ?? 0}`,
    place,
    doc,
    object,
    paints: sort,
    pair: 0,
    label,
    owner,
    property,
    before: text.slice(found.start, found.end),
    after: found.after,
    ...around(text, found),
    changes,
  }
}

const pathKey = (path: UsePath) => JSON.stringify(path)

/** The changes of some hits in one record, those of each text from its end to its beginning. */
export function changesOfExchange(hits: readonly ExchangeHit[]): Change[] {
  const byPath = new Map<string, StretchChange[]>()
  for (const change of hits.flatMap(({ changes }) => changes)) {
    const key = pathKey(change.path)
    byPath.set(key, [...(byPath.get(key) ?? []), change])
  }
  return [...byPath.values()].flatMap((changes) => changes.sort((a, b) => b.at - a.at))
}

/** Whether hits leave some text in their place and take no more room than was there: then they fit, but for names. */
const takesNoMore = (hits: readonly ExchangeHit[]): boolean =>
  hits.every(
    ({ object, changes }) =>
      !NAMED.has(object) &&
      changes.every(
        (change, i) => change.in.length <= change.out.length && (i > 0 || change.in !== ''),
      ),
  )

/** What has a name of its own, which begins and ends with a letter or sign. */
const NAMED = new Set(['page', 'site'])

/** Whether the names that a record has itself are written as names are: one blank between words, none around them. */
function hasTidyNames(record: SiteRecord): boolean {
  const { title, name } = record as { readonly title?: string; readonly name?: string }
  return [title, name].every((text) => text === undefined || nameText.parse(text) === text)
}

/** Whether a record is whole with some hits exchanged. */
function isWholeWith(
  { kind }: RecordRef,
  record: SiteRecord,
  hits: readonly ExchangeHit[],
): boolean {
  if (takesNoMore(hits)) return true
  const after = applyChanges<SiteRecord>(record, changesOfExchange(hits))
  return (
    after !== undefined &&
    isWholeRecord(kind, changedPart(after, record)) &&
    (hasTidyNames(after) || !hasTidyNames(record))
  )
}

const unfitOf = ({ doc, label, before }: ExchangeHit, why: Unfit): UnfitHit => ({
  doc,
  label,
  before,
  why,
})

/** What an exchange finds in a record. */
export function hitsIn(
  ref: RecordRef,
  record: SiteRecord,
  asked: ExchangeAsked,
  known: KnownOfSite,
): HitsOfRecord {
  const { sorts, finder } = kindOfExchange(asked)
  const find = finder(asked, known)
  const all = spotsIn(ref, record)
    .filter(({ sort }) => sorts.includes(sort))
    .map((spot) => find(spot).map((found) => [hitOf(spot, found), found.fits !== false] as const))
  const able = all.map((ofSpot) => ofSpot.filter(([, fits]) => fits).map(([hit]) => hit))
  const snippets = all.flat().flatMap(([hit, fits]) => (fits ? [] : [unfitOf(hit, 'no-snippet')]))
  if (isWholeWith(ref, record, able.flat())) return { hits: able.flat(), unfit: snippets }
  // Somewhere it becomes too long: there alone all stays.
  const fitting = able.filter((hits) => isWholeWith(ref, record, hits))
  const others = able.filter((hits) => !fitting.includes(hits)).flat()
  const unfit = [...snippets, ...others.map((hit) => unfitOf(hit, 'no-room'))]
  return { hits: fitting.flat(), unfit }
}

/** The hits that are ticked. */
export function tickedHits(hits: readonly ExchangeHit[], ticks: Ticks | undefined): ExchangeHit[] {
  if (!ticks) return [...hits]
  const isTicked = tickedBy(ticks)
  return hits.filter((hit) => isTicked(hit.key, hit))
}
