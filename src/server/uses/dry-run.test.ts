import { refused } from '@/core/payloads'
import { cellsOf, sweepRequest, totalOf } from '@/core/sweep'
import { placeIds } from '@/core/uses'
import { localOwner } from '../access'
import {
  closeTestDatabase,
  openTestDatabase,
  revisionOf,
  save,
  siteId,
} from '../database/database.fixture'
import { undo } from '../edits'
import { dryRun, planCells, planHits } from '.'

beforeAll(() => openTestDatabase('dry_run_test'))
afterAll(closeTestDatabase)

const request = {
  pairs: [{ from: { value: '#1c5a54', within: 0 }, to: { slot: 'brand' } }],
  scope: 'site',
} as unknown as Parameters<typeof dryRun>[2]

test('hits that are asked for some at a time are those that are asked for at once', async () => {
  const planned = await dryRun(localOwner, siteId, request)
  if (!planned.ok) throw new Error(planned.problem.code)
  const { plan, count, first, pages } = planned.value
  // Custom CSS has it too, and that is on every page.
  expect(pages).toBe(7)
  const window = async (from: number, many: number) => {
    const hits = await planHits(localOwner, siteId, plan, { from: from, count: many })
    return hits.ok ? hits.value.hits : []
  }
  const all = await window(0, 500)
  expect(all.length).toBe(count)
  expect(first).toEqual(all.slice(0, first.length))
  const order = all.map(({ place }) => placeIds.indexOf(place))
  expect(order).toEqual([...order].sort((a, b) => a - b))
  for (const size of [1, 7, count - 1]) {
    const some = []
    for (let from = 0; from < count; from += size) some.push(...(await window(from, size)))
    expect(some).toEqual(all)
  }
  expect(await window(count, 10)).toEqual([])

  // Asked again before anything changed it is the same plan; after that another, and the old one tells what is there.
  expect(await dryRun(localOwner, siteId, request)).toEqual(planned)
  await save({ type: 'setSlot', slot: 'brand', value: '#1c5a55' })
  const later = await dryRun(localOwner, siteId, request)
  expect(later.ok && later.value.plan).not.toBe(plan)
  expect((await window(0, 500)).map(({ key }) => key)).toEqual(all.map(({ key }) => key))
  await undo(localOwner, siteId, await revisionOf(siteId))
})

test('where a site goes on after a dry run, its windows show what is there now, and what is near by now', async () => {
  const near = sweepRequest.parse({
    pairs: [{ from: { value: '#1c5a54', within: 3 }, to: { value: '#6b2d5c' } }],
    scope: 'site',
  })
  const planned = await dryRun(localOwner, siteId, near)
  if (!planned.ok) throw new Error(planned.problem.code)
  const { plan, count } = planned.value
  await save({ type: 'setCustomCss', css: 'a{color:#1d5b55;background:#1c5a54;fill:#123456}' })
  const cells = await planCells(localOwner, siteId, plan)
  const hits = await planHits(localOwner, siteId, plan, { from: 0, count: 500 })
  if (!cells.ok || !hits.ok) throw new Error('not there')
  const again = await dryRun(localOwner, siteId, near)
  expect(totalOf(cellsOf(cells.value)).count).toBe(again.ok && again.value.count)
  expect(hits.value.hits).toHaveLength(again.ok ? again.value.count : count)
  const inCss = hits.value.hits
    .filter(({ place }) => place === 'custom-css')
    .map(({ before }) => before)
  expect(inCss).toEqual(['#1d5b55', '#1c5a54'])
  await undo(localOwner, siteId, await revisionOf(siteId))
})

test('what was answered is answered again to whoever asked, of the state it was asked of', async () => {
  const first = await dryRun(localOwner, siteId, request)
  expect(await dryRun(localOwner, siteId, request)).toEqual(first)
  expect(await dryRun({ userId: 'nobody' }, siteId, request)).toEqual(
    refused({ code: 'not-found' }),
  )
  await save({ type: 'renameSite', name: 'Another name' })
  const later = await dryRun(localOwner, siteId, request)
  expect(later).toMatchObject({
    ok: true,
    value: { count: first.ok && first.value.count, revision: await revisionOf(siteId) },
  })
  await undo(localOwner, siteId, await revisionOf(siteId))
})
