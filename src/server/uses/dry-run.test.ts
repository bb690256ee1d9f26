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
import { dryRun, planHits } from '.'

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
