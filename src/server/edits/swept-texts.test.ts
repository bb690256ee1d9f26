import fc from 'fast-check'
import { applyChanges, type Change } from '@/core/changes'
import { canonicalJson, type ColorDecision, type Page, type SiteDocs } from '@/core/site'
import { sweepRequest } from '@/core/sweep'
import { usesInSite } from '@/core/uses'
import { planInMemory, type WideIntent } from '@/core/wide'
import { localOwner } from '../access'
import {
  closeTestDatabase,
  openTestDatabase,
  revisionOf,
  save,
  siteId,
  stateOf,
} from '../database/database.fixture'
import { contentOf, loadWhole } from '../records'
import { checkIndex } from '../uses'
import { redo, undo } from '.'
import { becoming } from './becoming'
import { carryOutWide } from './wide'

beforeAll(() => openTestDatabase('swept_texts_test'))
afterAll(closeTestDatabase)

/** What pages decide, most often first. */
function decisionsIn({ frame, pages }: SiteDocs): ColorDecision[] {
  const counts = new Map<string, { decision: ColorDecision; count: number }>()
  for (const { place, decision } of usesInSite(frame, Object.values(pages))) {
    if (place !== 'content') continue
    const key = canonicalJson(decision)
    counts.set(key, { decision, count: (counts.get(key)?.count ?? 0) + 1 })
  }
  return [...counts.values()].sort((a, b) => b.count - a.count).map(({ decision }) => decision)
}

const from = (decision: ColorDecision) =>
  'value' in decision ? { value: decision.value, within: 0 } : decision

/** Sweeps of what pages decide, to each other, to slots and to colours that are new. */
function anySweep(docs: SiteDocs): fc.Arbitrary<WideIntent> {
  const decisions = decisionsIn(docs).slice(0, 12)
  const target = fc.oneof(
    fc.constantFrom(...decisions),
    fc.constantFrom(...docs.frame.palette.order).map((slot): ColorDecision => ({ slot })),
    fc.constant<ColorDecision>({ value: '#6b2d5c' }),
  )
  const pair = fc.tuple(fc.constantFrom(...decisions), target)
  const object = fc.constantFrom('heading', 'section', 'mainButton', undefined)
  return fc
    .tuple(
      fc.uniqueArray(pair, { minLength: 1, maxLength: 3, selector: ([a]) => canonicalJson(a) }),
      object,
    )
    .map(([pairs, left]) => ({
      type: 'sweep',
      request: sweepRequest.parse({
        pairs: pairs.map(([a, to]) => ({ from: from(a), to })),
        scope: 'site',
        ...(left ? { ticks: { rules: [{ where: { object: left }, take: false }] } } : {}),
      }),
    }))
}

test('pages whose texts tell what they become, and those that are read, are what is planned in memory', async () => {
  const seed = Number(process.env.SEED ?? Math.floor(Math.random() * 1e9))
  console.warn(`swept texts: seed ${seed}`)
  let done = 0
  for (let round = 0; round < 14; round += 1) {
    const docs = await loadWhole(siteId)
    const [intent] = fc.sample(anySweep(docs), { seed: seed + round, numRuns: 1 })
    const planned = planInMemory(docs, intent!)
    const before = await stateOf(siteId)
    const result = await carryOutWide(localOwner, siteId, 'any', intent!)
    if (!planned.ok || !result.ok) {
      expect(await stateOf(siteId)).toBe(before)
      continue
    }
    done += 1
    const changes = new Map(planned.changes.map((each) => [each.id, each.changes]))
    const after = await loadWhole(siteId)
    for (const page of Object.values(docs.pages)) {
      const expected = applyChanges<Page>(page, changes.get(page.id) ?? [])
      expect(canonicalJson(after.pages[page.id])).toBe(canonicalJson(expected))
    }
    expect((await checkIndex(siteId)).faults).toEqual([])
    const swept = await stateOf(siteId)
    await undo(localOwner, siteId, await revisionOf(siteId))
    expect(await stateOf(siteId)).toBe(before)
    expect((await checkIndex(siteId)).faults).toEqual([])
    await redo(localOwner, siteId, await revisionOf(siteId))
    expect(await stateOf(siteId)).toBe(swept)
  }
  expect(done).toBeGreaterThan(4)
})

/** Gives the words of two paragraphs of a page these colours: what sweeps at random left there may be anything. */
async function paintTwo(values: readonly [string, string]): Promise<Page['id']> {
  const { pages } = await loadWhole(siteId)
  const paragraphs = ({ body }: Page) =>
    Object.values(body.elements).filter(({ kind }) => kind === 'paragraph')
  const page = Object.values(pages).find((each) => paragraphs(each).length > 1)!
  const settings = values.map((value, i) => ({
    on: { doc: page.id, element: paragraphs(page)[i]!.id },
    key: 'text',
    state: 'rest',
    value: { value },
  }))
  expect(await save({ type: 'setLooks', settings })).toMatchObject({ ok: true })
  return page.id
}

/** A page with a decision that two elements hold of their own, and all changes that exchange it. */
async function exchangedPage(to: unknown) {
  const id = await paintTwo(['#0a0b0c', '#0a0b0c'])
  const { frame, pages } = await loadWhole(siteId)
  const page = pages[id]!
  const changes = usesInSite(frame, [page])
    .filter(({ text, start }) => text === '#0a0b0c' && start === undefined)
    .map(({ path, decision }) => ({ path: [...path], from: decision, to }) as Change)
  expect(changes).toHaveLength(2)
  return { page, changes }
}

const stored = (page: Page, read = () => page) => ({
  kind: 'page' as const,
  id: page.id as string,
  hash: '',
  counted: 1,
  stored: {
    kind: 'page' as const,
    id: page.id as string,
    content: contentOf('page', page),
    listed: { title: page.title, path: page.path, position: page.order },
    read,
  },
})

test('a page is read only where its text does not tell what it becomes', async () => {
  const { page, changes } = await exchangedPage({ slot: 'brand' })
  const unread = () => {
    throw new Error('read')
  }
  const byText = await becoming({ ...stored(page, unread), changes })
  const body = canonicalJson(applyChanges(page, changes))
  expect(byText.becomes?.write).toMatchObject({
    content: { body },
    listed: { title: page.title, path: page.path, position: page.order },
  })
  expect(byText.becomes?.index.everywhere).toHaveLength(1)

  const some = changes.slice(1)
  await expect(becoming({ ...stored(page, unread), changes: some })).rejects.toThrow('read')
  const byReading = await becoming({ ...stored(page), changes: some })
  expect(byReading.becomes?.write.content.body).toBe(canonicalJson(applyChanges(page, some)))
  expect(byReading.becomes?.index.everywhere).toEqual([])
})

test('what is no decision, or no longer what was stored, is refused as everywhere', async () => {
  const { page, changes } = await exchangedPage({ value: 'url(javascript:1)', slot: 'brand' })
  await expect(becoming({ ...stored(page), changes })).rejects.toThrow('not-whole')
  const fit = await exchangedPage({ slot: 'brand' })
  const own = stored(fit.page)
  const content = { ...own.stored.content, body: own.stored.content.body.replace('"id"', '"di"') }
  const spoilt = { ...own, stored: { ...own.stored, content } }
  const { becomes } = await becoming({ ...spoilt, changes: fit.changes })
  expect(becomes?.index.everywhere).toEqual([])
})

test('looks of one page that swap their colours are each counted as what they come to', async () => {
  const values = ['#102030', '#a0b0c0'] as const
  await paintTwo(values)
  const pairs = [values, [...values].reverse()].map(([value, to]) => ({
    from: { value, within: 0 },
    to: { value: to },
  }))
  const request = sweepRequest.parse({ pairs, scope: 'site' })
  const before = await stateOf(siteId)
  for (let time = 0; time < 2; time += 1) {
    expect(await carryOutWide(localOwner, siteId, 'any', { type: 'sweep', request })).toMatchObject(
      {
        ok: true,
        value: { changed: 2 },
      },
    )
    expect((await checkIndex(siteId)).faults).toEqual([])
    // Twice is the identity, to the byte.
    expect((await stateOf(siteId)) === before).toBe(time === 1)
  }
})
