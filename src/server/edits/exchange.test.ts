import type { ExchangeAsked } from '@/core/exchange'
import type { Run } from '@/core/elements'
import type { DocId, ElementId, PageId } from '@/core/site'
import { planInMemory } from '@/core/wide'
import { localOwner } from '../access'
import {
  closeTestDatabase,
  openTestDatabase,
  revisionOf,
  save,
  siteId,
  stateOf,
} from '../database/database.fixture'
import { select } from '../database/sets'
import { loadWhole } from '../records'
import { dryExchange, planCells, planHits } from '../uses'
import { carryOutWide, listCheckpoints, takeBack, undo } from '.'

beforeAll(() => openTestDatabase('exchange_test'))
afterAll(closeTestDatabase)

async function planned(asked: ExchangeAsked) {
  const result = await dryExchange(localOwner, siteId, asked)
  if (!result.ok) throw new Error(JSON.stringify(result.problem))
  return result.value
}

const apply = async (asked: ExchangeAsked, count: number, ticks?: object) =>
  carryOutWide(localOwner, siteId, 'any', {
    type: 'exchange',
    request: { asked, ...(ticks ? { ticks } : {}) },
    expects: { count, revision: await revisionOf(siteId) },
  })

/** The first element of a kind with its page. */
async function firstOf(kind: string) {
  const { pages } = await loadWhole(siteId)
  for (const page of Object.values(pages)) {
    const element = Object.values(page.body.elements).find((each) => each.kind === kind)
    if (element) return { doc: page.id as DocId, element: element.id as ElementId }
  }
  throw new Error(`no ${kind}`)
}

test.each<ExchangeAsked>([
  { of: 'words', from: 'paper', to: 'Parchment', keepCase: true },
  { of: 'words', from: '&', to: 'and' },
  { of: 'words', from: 'the', to: 'THE', wholeWords: true, sameCase: true },
  { of: 'words', from: 'nothing that is written anywhere', to: 'x' },
  { of: 'link', from: 'page:workshops', to: 'page:contact' },
  { of: 'link', from: '#', to: 'https://gull.example/?a=1&b="2"' },
  { of: 'picture', from: 'logo' as never, to: 'shopfront' as never },
  { of: 'address', from: 'tern-and-thistle.example', to: 'gull.example' },
])('what is listed of %j is what is changed, and undo brings every byte back', async (asked) => {
  const docs = await loadWhole(siteId)
  const state = await stateOf(siteId)
  const inMemory = planInMemory(docs, { type: 'exchange', request: { asked } })
  if (!inMemory.ok) {
    expect(await dryExchange(localOwner, siteId, asked)).toMatchObject({
      ok: false,
      problem: { problem: inMemory.problem },
    })
    return
  }
  const run = await planned(asked)
  expect(run.count).toBe(inMemory.count)
  const window = await planHits(localOwner, siteId, run.plan, { from: 0, count: 500 })
  const hits = window.ok ? window.value.hits : []
  expect(hits).toHaveLength(Math.min(run.count, 500))
  expect(run.first).toEqual(hits.slice(0, run.first.length))
  const halves = await planHits(localOwner, siteId, run.plan, { from: 1, count: 3 })
  expect(halves.ok && halves.value.hits).toEqual(hits.slice(1, 4))
  const cells = await planCells(localOwner, siteId, run.plan)
  expect(cells.ok && cells.value).toEqual(run.cells)

  const applied = await apply(asked, run.count)
  if (run.count === 0) {
    expect(applied).toMatchObject({ ok: false, problem: { code: 'nothing-to-sweep' } })
    return
  }
  expect(applied).toMatchObject({ ok: true, value: { changed: run.count } })
  expect((await listCheckpoints(localOwner, siteId)).ok).toBe(true)
  const again = await planned(asked)
  const isInItself = asked.of === 'words' && asked.to.toLowerCase().includes(asked.from)
  if (!isInItself) expect(again.count).toBe(0)
  await undo(localOwner, siteId, await revisionOf(siteId))
  expect(await stateOf(siteId)).toEqual(state)
})

test('words that change their looks half-way are found by the database too', async () => {
  const { doc, element } = await firstOf('paragraph')
  const runs: Run[] = [
    { text: 'Mill', strong: true },
    { text: 'stream Lane', href: '#' },
  ]
  const { pages: now } = await loadWhole(siteId)
  const was = (now[doc as PageId]!.body.elements[element]!.content as { runs: Run[] }).runs
  await save({ type: 'setContent', doc, element, at: ['runs'], was, to: runs })
  const asked = { of: 'words', from: 'millstream', to: 'Brook' } as const
  const run = await planned(asked)
  expect(run.count).toBe(1)
  expect(run.first[0]).toMatchObject({ before: 'Millstream', after: 'Brook', doc })
  expect(await apply(asked, 1)).toMatchObject({ ok: true })
  const { pages } = await loadWhole(siteId)
  expect(pages[doc as PageId]!.body.elements[element]!.content).toMatchObject({
    runs: [
      { text: 'Brook', strong: true },
      { text: ' Lane', href: '#' },
    ],
  })
})

test('ticks hold, single and by part; a site that moved on refuses and tells', async () => {
  const asked = { of: 'words', from: 'book', to: 'volume' } as const
  const run = await planned(asked)
  const [first] = run.first
  expect(run.count).toBeGreaterThan(3)
  expect(await apply(asked, run.count - 1)).toMatchObject({
    ok: false,
    problem: { code: 'moved-on', now: run.count },
  })
  const one = { rules: [{ where: {}, take: false }], except: [first!.key] }
  expect(await apply(asked, 1, one)).toMatchObject({ ok: true, value: { changed: 1 } })
  expect((await planned(asked)).count).toBe(run.count - 1)
})

test('an exchange is taken back after later work that touched something else', async () => {
  const asked = { of: 'words', from: 'harbour', to: 'haven', keepCase: true } as const
  const run = await planned(asked)
  await apply(asked, run.count)
  const revision = await revisionOf(siteId)
  await save({ type: 'setSlot', slot: 'brand', value: '#1c5a55' })
  const back = await takeBack(localOwner, siteId, 'any', { revision, leaves: false })
  expect(back).toMatchObject({ ok: true })
  expect((await planned(asked)).count).toBe(run.count)
})

test('hostile patterns are text like any other', async () => {
  for (const from of [
    '.*',
    '(a+)+$',
    '\\',
    '"',
    '[',
    '{"',
    '\\u0000',
    "'; drop table sites; --",
    '%_',
  ]) {
    const asked = { of: 'words', from, to: 'x' } as const
    const docs = await loadWhole(siteId)
    const inMemory = planInMemory(docs, { type: 'exchange', request: { asked } })
    expect((await planned(asked)).count).toBe(inMemory.ok ? inMemory.count : -1)
  }
})

test('a site whose name is swept is listed by the other one, and by the first after undo', async () => {
  const nameOf = async () => {
    const [row] = await select<{ name: string }>('select name from sites where id = $1', [siteId])
    return row!.name
  }
  const before = await nameOf()
  const asked = { of: 'words', from: 'Thistle', to: 'Teasel' } as const
  const run = await planned(asked)
  expect(await apply(asked, run.count)).toMatchObject({ ok: true })
  expect(await nameOf()).toBe(before.replace('Thistle', 'Teasel'))
  await undo(localOwner, siteId, await revisionOf(siteId))
  expect(await nameOf()).toBe(before)
})

test('a word as long as any is looked for', async () => {
  const asked = { of: 'words', from: 'x'.repeat(2000), to: 'y' } as const
  expect((await planned(asked)).count).toBe(0)
})
