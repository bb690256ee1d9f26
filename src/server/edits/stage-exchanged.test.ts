import { randomUUID } from 'node:crypto'
import { applyChanges, type Change } from '@/core/changes'
import { canonicalJson, type RecordRef, type ColorDecision, type Page } from '@/core/site'
import { usesOnPage, type Use } from '@/core/uses'
import { closeTestDatabase, openTestDatabase, siteId, tamper } from '../database/database.fixture'
import { select, tell } from '../database/sets'
import { hashOf, loadWhole } from '../records'
import { everywhereRow } from '../uses/index-change'
import { looseColors, reachedRecords } from '../uses/questions'
import { readersVersion } from '../uses/rows'
import { stageExchanged, type WholeExchange } from './stage-exchanged'
import { unstage } from './staging'

beforeAll(() => openTestDatabase('stage_exchanged_test'))
afterAll(closeTestDatabase)

const target: ColorDecision = { value: '#6b2d5c' }

interface StagedText {
  readonly id: string
  readonly body: string
  readonly changes: string
  readonly counted: number
}

/** What stands beside the site for a job, by page. */
async function standing(job: string): Promise<Map<string, StagedText>> {
  const rows = await select<StagedText>(
    `select s.id, c.body, s.changes, s.counted from staged_records s
       join contents c on c.site_id = $2 and c.hash = s.hash where s.job = $1`,
    [job, siteId],
  )
  return new Map(rows.map((row) => [row.id, row]))
}

interface OnPage {
  readonly page: Page
  readonly use: Use
}

/** All colours that pages decide come to another one. */
async function allExchanged() {
  const { frame, pages } = await loadWhole(siteId)
  const hits = Object.values(pages).flatMap((page) =>
    usesOnPage(frame, page).map((use): OnPage => ({ page, use })),
  )
  const others = new Set(
    hits.flatMap(({ page, use: { start, path } }) =>
      start === undefined && path[3] === 'looks' ? [] : [page.id],
    ),
  )
  const decisions = new Map(
    hits.map(({ use: { decision } }) => [canonicalJson(decision), decision]),
  )
  const question = { slots: frame.palette.order, colors: await looseColors(siteId) }
  const exchange: WholeExchange = {
    question,
    rows: [...decisions.values()].map((from) => everywhereRow({ from, to: target })),
  }
  const reached = await reachedRecords(siteId, { uses: question })
  const batch = reached.filter(({ kind }) => kind === 'page')
  /** Pages that hold colours in elements and sections alone. */
  const plain = [...new Set(hits.map(({ page }) => page.id))].filter((id) => !others.has(id)).sort()
  return { hits, plain, exchange, batch }
}

test('pages that hold nothing but decisions stand beside the site as their changes leave them', async () => {
  const { hits, plain, exchange, batch } = await allExchanged()
  const job = randomUUID()
  const done = await stageExchanged(job, siteId, 7, batch, exchange)
  expect(plain.length).toBeGreaterThan(2)
  expect([...done].sort()).toEqual(plain)
  const staged = await standing(job)
  expect(staged.size).toBe(done.length)
  const { pages } = await loadWhole(siteId)
  for (const { id, body, changes, counted } of staged.values()) {
    const read = JSON.parse(changes) as Change[]
    expect(read).toHaveLength(counted)
    expect(counted).toBe(hits.filter(({ page }) => page.id === id).length)
    expect(canonicalJson(applyChanges<Page>(pages[id as Page['id']]!, read))).toBe(body)
  }
  const ats = await select<{ at: number }>('select at from staged_records where job = $1', [job])
  const numbers = ats.map(({ at }) => at)
  expect(new Set(numbers).size).toBe(done.length)
  expect(Math.min(...numbers)).toBeGreaterThanOrEqual(7)
  expect(Math.max(...numbers)).toBeLessThan(7 + batch.length)
  expect(await unstage(job)).toBe(done.length)
  const left = await select('select 1 from staged_exchanges where job = $1', [job])
  expect(left).toEqual([])
})

describe('left alone, to be planned by itself, is a page', () => {
  interface Kept {
    readonly no: string
    readonly hash: string
    readonly body: string
    readonly schema: number
  }

  /** What is done to a page, and the hash by which it is known from then on, where that is another. */
  type Spoil = (page: Kept, ref: RecordRef) => Promise<string | void>

  const textWith =
    (more: string, hash?: string): Spoil =>
    ({ body, schema, hash: before }, ref) =>
      tamper(siteId, ref, body + more, schema, hash ?? before)

  test.each<[string, (decision: string, body: string) => Spoil]>([
    [
      'that somebody changed since it was looked for',
      (_, body) => textWith(' ', hashOf(`${body} `)),
    ],
    ['whose text is not what was stored', () => textWith(' ')],
    [
      'that holds a decision more often than the index knows',
      (decision, body) => async (page, ref) => {
        const hash = hashOf(body + decision)
        await textWith(decision, hash)(page, ref)
        return hash
      },
    ],
    [
      'that was read by other readers',
      () =>
        ({ no }) =>
          tell('update records set readers = readers - 1 where no = $1', [no]),
    ],
  ])('%s', async (_, spoil) => {
    const { hits, plain, exchange, batch } = await allExchanged()
    const id = plain[0]!
    const ref = { kind: 'page', id } as const
    const [page] = await select<Kept>(
      `select r.no, r.hash, c.body, c.schema from records r
         join contents c on c.site_id = r.site_id and c.hash = r.hash
       where r.site_id = $1 and r.kind = 'page' and r.id = $2`,
      [siteId, id],
    )
    const { no, body, schema, hash } = page!
    const { use } = hits.find((each) => each.page.id === id)!
    const job = randomUUID()
    try {
      const now = (await spoil(canonicalJson(use.decision), body)(page!, ref)) ?? hash
      const known = batch.map((each) => (each.id === id ? { ...each, hash: now } : each))
      const done = await stageExchanged(job, siteId, 0, known, exchange)
      expect([...done].sort()).toEqual(plain.slice(1))
      expect((await standing(job)).has(id)).toBe(false)
    } finally {
      await unstage(job)
      await tamper(siteId, ref, body, schema, hash)
      await tell('update records set readers = $2 where no = $1', [no, readersVersion])
    }
  })
})

test('two decisions that swap do swap, in every page', async () => {
  const { exchange, batch } = await allExchanged()
  const first = exchange.rows.find((row) => row.from_text.includes('value'))
  const from = JSON.parse(first!.from_text) as ColorDecision
  const there = { ...exchange, rows: [everywhereRow({ from, to: target })] }
  const back = { ...exchange, rows: [everywhereRow({ from: target, to: from })] }
  // What has none of the second is exchanged by the first alone: both ways are the same text.
  const jobs = [randomUUID(), randomUUID()] as const
  const one = await stageExchanged(jobs[0], siteId, 0, batch, there)
  const both = { ...exchange, rows: [...there.rows, ...back.rows] }
  const two = await stageExchanged(jobs[1], siteId, 0, batch, both)
  expect(two).toEqual(one)
  const bodies = async (job: string) =>
    [...(await standing(job))].map(([id, { body }]) => [id, body]).sort()
  expect(await bodies(jobs[1])).toEqual(await bodies(jobs[0]))
  for (const job of jobs) await unstage(job)
})
