import type { Transaction } from 'sequelize'
import { formOf, spotsIn, wordsOfText, type ExchangeOf } from '@/core/exchange'
import { done, mostStanding, type Result, type StandingText } from '@/core/payloads'
import { frameRef } from '@/core/site'
import { siteFor, type Actor } from '../access'
import { atOneMoment } from '../database/connection'
import { select } from '../database/sets'
import { loadFrame } from '../records'
import { namesOf } from './names'

interface Found {
  readonly value: string
  readonly count: number
  readonly records: number
}

/** What a pattern with one group finds in the stored texts of a site (JSON), counted. */
function foundIn(siteId: string, pattern: string, transaction: Transaction): Promise<Found[]> {
  return select<Found>(
    `select m[1] as value, count(*)::int as count, count(distinct r.no)::int as records
     from records r
       join contents c on c.site_id = r.site_id and c.hash = r.hash
       cross join lateral regexp_matches(c.body, $2, 'g') m
     where r.site_id = $1 and r.kind in ('frame', 'page')
     group by 1 order by 2 desc, 1 limit ${mostStanding}`,
    [siteId, pattern],
    transaction,
  )
}

/** A text as JSON has it, as it is read; as it stands where it is a part that JSON alone cannot read. */
function read(json: string): string {
  try {
    return JSON.parse(`"${json}"`) as string
  } catch {
    return json
  }
}

/** Several finds of one thing are one line. */
function merged(found: readonly StandingText[]): StandingText[] {
  const byValue = new Map<string, StandingText>()
  for (const each of found) {
    const known = byValue.get(each.value)
    byValue.set(
      each.value,
      known
        ? {
            ...known,
            count: known.count + each.count,
            records: Math.max(known.records, each.records),
          }
        : each,
    )
  }
  return [...byValue.values()].sort((a, b) => b.count - a.count)
}

const asTexts = (found: readonly Found[], valueOf: (json: string) => string): StandingText[] =>
  merged(
    found.map(({ value, ...counts }) => {
      const text = valueOf(value)
      return { value: text, words: text, ...counts }
    }),
  )

/** Targets of links: members of things, and attributes of snippets, whose quotes JSON escapes. */
const LINKS = String.raw`"href":"((?:[^"\\]|\\.)*)"`
const SNIPPET_LINKS = String.raw`href=\\"([^"\\]*)\\"`
const PICTURES = `"(?:asset|picture)":"([a-z][a-z0-9-]*)"`
const MAIL = String.raw`([[:alnum:]._%+-]+@[[:alnum:]-]+(?:\.[[:alnum:]-]+)+)`
const PHONE = String.raw`tel:([+0-9]+)`
const WEB = String.raw`https?://([[:alnum:]-]+(?:\.[[:alnum:]-]+)+)`

/** Names of XML, which pictures inside of CSS and snippets carry along, and which lead nowhere. */
const NAMESPACE = /^(?:www\.)?w3\.org$/

type Reader = (siteId: string, transaction: Transaction) => Promise<StandingText[]>

/** What of each sort stands on a site; of words people ask for their own. */
const readers: Readonly<Record<Exclude<ExchangeOf, 'words'>, Reader>> = {
  async font(siteId, transaction) {
    const frame = await loadFrame(siteId, transaction)
    const names = spotsIn(frameRef, frame).flatMap(({ sort, pieces }) =>
      sort === 'font' ? pieces.map(({ text }) => text.text) : [],
    )
    return merged(names.map((name) => ({ value: name, words: name, count: 1, records: 1 })))
  },
  async picture(siteId, transaction) {
    const { pictures } = await namesOf(siteId, transaction)
    const found = await foundIn(siteId, PICTURES, transaction)
    return found.flatMap(({ value, ...counts }) =>
      Object.hasOwn(pictures, value)
        ? [{ value, words: pictures[value]!.fileName, ...counts }]
        : [],
    )
  },
  async link(siteId, transaction) {
    const ofThings = await foundIn(siteId, LINKS, transaction)
    const ofSnippets = await foundIn(siteId, SNIPPET_LINKS, transaction)
    const known = await namesOf(siteId, transaction)
    return merged([
      ...asTexts(ofThings, read),
      ...asTexts(ofSnippets, (text) => text.replaceAll('&amp;', '&')),
    ])
      .filter(({ value }) => value !== '')
      .map((each) => ({ ...each, words: wordsOfText('link', each.value, known) }))
  },
  async address(siteId, transaction) {
    const mail = await foundIn(siteId, MAIL, transaction)
    const phone = await foundIn(siteId, PHONE, transaction)
    const web = await foundIn(siteId, WEB, transaction)
    const all = [mail, phone, web].flatMap((found) => asTexts(found, (text) => text))
    return merged(all).filter(({ value }) => formOf(value) && !NAMESPACE.test(value))
  },
}

/** What stands on a site and can be exchanged, the most frequent first. */
export function standingTexts(
  actor: Actor,
  siteId: string,
  of: Exclude<ExchangeOf, 'words'>,
): Promise<Result<readonly StandingText[]>> {
  return atOneMoment(async (transaction) => {
    const found = await siteFor(actor, 'read', siteId, transaction)
    if (!found.ok) return found
    return done((await readers[of](siteId, transaction)).slice(0, mostStanding))
  })
}
