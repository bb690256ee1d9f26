import type { Transaction } from 'sequelize'
import {
  hitsIn,
  kindOfExchange,
  wordsOfText,
  type ExchangeAsked,
  type ExchangeHit,
  type KnownOfSite,
  type UnfitHit,
} from '@/core/exchange'
import type { HitLine } from '@/core/payloads'
import { countingCells, type Facets } from '@/core/sweep'
import { placeIds } from '@/core/uses'
import { select } from '../database/sets'
import { loadStates, type RecordState } from '../records'
import { namesOf } from './names'
import {
  titledHits,
  type CountedHits,
  type PlannedHit,
  type TextPlan,
  type TitledRecord,
} from './plans'
import { recordsWritten } from './questions'

/** Records that are in memory at the same time. */
const AT_ONCE = 40

/** Goes through some records, a few at a time, and tells what is found in each. */
async function* foundIn(
  siteId: string,
  asked: ExchangeAsked,
  known: KnownOfSite,
  states: readonly RecordState[],
  transaction: Transaction,
) {
  for (let at = 0; at < states.length; at += AT_ONCE) {
    const some = states.slice(at, at + AT_ONCE)
    for (const each of await loadStates(siteId, some, transaction, false)) {
      yield { no: each.no, ...hitsIn(each, each.record, asked, known) }
    }
  }
}

const facetsOf = ({ place, doc, object, paints, pair }: ExchangeHit): Facets => ({
  place,
  doc,
  object,
  paints,
  pair,
})

/** Counts what an exchange finds: by place, then in the order in which a site is read. */
export async function countTexts(
  siteId: string,
  asked: ExchangeAsked,
  known: KnownOfSite,
  transaction: Transaction,
): Promise<{ readonly hits: CountedHits; readonly unfit: readonly UnfitHit[] }> {
  const pattern = kindOfExchange(asked).pattern(asked, known)
  const states = await recordsWritten(siteId, pattern, transaction)
  const byPlace = new Map(placeIds.map((place) => [place, [] as Facets[]]))
  const titled = new Map(states.map((state) => [state.no, state]))
  const seen = new Map<string, TitledRecord>()
  const unfit: UnfitHit[] = []
  for await (const found of foundIn(siteId, asked, known, states, transaction)) {
    for (const hit of found.hits) {
      byPlace.get(hit.place)!.push(facetsOf(hit))
      seen.set(hit.doc, titled.get(found.no)!)
    }
    unfit.push(...found.unfit)
  }
  const counting = countingCells()
  for (const facets of [...byPlace.values()].flat()) counting.add(facets, 1, 0)
  return { hits: titledHits(counting.table(), seen), unfit }
}

function lineOf(hit: ExchangeHit, known: KnownOfSite): HitLine {
  const { changes: _changes, paints, before, after, ...line } = hit
  const words = (text: string) => wordsOfText(paints, text, known)
  return { ...line, paints, before: words(before), after: words(after), binds: 0 }
}

/** What an exchange would change in some records, by their numbers. */
export async function textHits(
  siteId: string,
  { asked }: TextPlan,
  records: readonly string[],
  transaction: Transaction,
): Promise<PlannedHit[]> {
  const states = await select<RecordState>(
    `select r.kind, r.id, r.hash, r.no::text from records r
     where r.site_id = $1 and r.no = any($2::bigint[]) order by r.no`,
    [siteId, records],
    transaction,
  )
  const known = await namesOf(siteId, transaction)
  const hits: PlannedHit[] = []
  for await (const found of foundIn(siteId, asked, known, states, transaction)) {
    for (const hit of found.hits) {
      hits.push({ place: hit.place, doc: hit.doc, lines: () => [lineOf(hit, known)] })
    }
  }
  return hits
}
