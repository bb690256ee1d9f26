import { canonicalJson, type PageId, type StyleId } from '@/core/site'
import { planInMemory, type WideIntent } from '@/core/wide'
import { localOwner } from '../access'
import {
  closeTestDatabase,
  openTestDatabase,
  revisionOf,
  siteId,
  stateOf,
} from '../database/database.fixture'
import { loadWhole } from '../records'
import { carryOutWide, saveEdits, undo } from '.'

const [ticket, booking] = ['ticket', 'booking'] as unknown as [StyleId, StyleId]

beforeAll(() => openTestDatabase('styles_test'))
afterAll(closeTestDatabase)

/** Carries an intent out on the stored site; the same as on documents that are all at hand, and undone to the byte. */
async function both(intent: WideIntent): Promise<number> {
  const [before, docs] = [await stateOf(siteId), await loadWhole(siteId)]
  const plan = planInMemory(docs, intent)
  if (!plan.ok) throw new Error(plan.problem)
  const base = await revisionOf(siteId)
  const result = await carryOutWide(localOwner, siteId, base, intent)
  if (!result.ok) throw new Error(JSON.stringify(result.problem))
  const after = await loadWhole(siteId)
  for (const { kind, id } of plan.changes) {
    expect(canonicalJson(kind === 'frame' ? after.frame : after.pages[id as PageId])).not.toBe(
      canonicalJson(kind === 'frame' ? docs.frame : docs.pages[id as PageId]),
    )
  }
  expect(result.value.changed).toBe(plan.count)
  await undo(localOwner, siteId, base + 1)
  expect(await stateOf(siteId)).toBe(before)
  return plan.count
}

test('a style is removed from every page that the index knows it on', async () => {
  const count = await both({
    type: 'exchangeStyle',
    style: ticket,
    to: null,
    keep: true,
    remove: true,
  })
  expect(count).toBeGreaterThan(0)
})

test('what one element decides is lifted for all, and those that decided the same follow', async () => {
  const docs = await loadWhole(siteId)
  const wearers = Object.values(docs.pages).flatMap(({ id: doc, body }) =>
    Object.values(body.elements).flatMap(({ id, kind }) =>
      kind === 'mainButton' ? [{ doc, element: id }] : [],
    ),
  )
  expect(new Set(wearers.map(({ doc }) => doc)).size).toBeGreaterThan(2)
  const settings = wearers.map((on) => ({ on, key: 'corner', state: 'rest' as const, value: 7 }))
  const edit = { type: 'setLooks', settings } as const
  const base = await revisionOf(siteId)
  const saved = await saveEdits(localOwner, siteId, base, [
    { clientId: '6f1c2c7e-4a3b-4f5d-9d6a-000000000001', edit },
  ])
  expect(saved).toMatchObject({ ok: true })
  expect(await revisionOf(siteId)).toBe(base + 1)
  const lift = {
    type: 'liftLook',
    kind: 'mainButton',
    key: 'corner',
    state: 'rest',
    value: 7,
  } as const
  expect(await both({ ...lift, to: { setting: 'buttonCorner' } })).toBe(wearers.length)
  expect(await both({ ...lift, to: { style: 'main-button' as StyleId } })).toBe(wearers.length)
  // Only those that wear the style inherit from it.
  const wearing = Object.values(docs.pages).flatMap(({ body }) =>
    Object.values(body.elements).filter(({ style }) => style === booking),
  )
  expect(await both({ ...lift, to: { style: booking } })).toBe(wearing.length)
})
