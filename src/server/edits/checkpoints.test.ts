import { randomUUID } from 'node:crypto'
import { localOwner, type Actor } from '../access'
import {
  closeTestDatabase,
  openTestDatabase,
  otherSiteId,
  revisionOf,
  save,
  siteId,
  stateOf,
  stranger,
} from '../database/database.fixture'
import { models } from '../database/models'
import { carryOutWide, listCheckpoints, readHistory, takeCheckpoint, undo } from '.'

const returnToCheckpoint = (actor: Actor, site: string, base: number, checkpoint: string) =>
  carryOutWide(actor, site, base, { type: 'restore', checkpoint })

beforeAll(() => openTestDatabase('checkpoints_test'))
afterAll(closeTestDatabase)

const setSlot = (slot: string, value: string) => save({ type: 'setSlot', slot, value })
const take = async (name: string) =>
  takeCheckpoint(localOwner, siteId, await revisionOf(siteId), name)
const list = async () => {
  const listed = await listCheckpoints(localOwner, siteId)
  if (!listed.ok) throw new Error(listed.problem.code)
  return listed.value
}
const goBack = async (id: string, base?: number) =>
  returnToCheckpoint(localOwner, siteId, base ?? (await revisionOf(siteId)), id)

test('they are listed newest first, and taking one changes nothing', async () => {
  const before = await stateOf(siteId)
  const base = await revisionOf(siteId)
  expect(await take('First')).toEqual({ ok: true, value: null })
  expect(await take('Second')).toEqual({ ok: true, value: null })
  expect((await list()).slice(0, 2)).toEqual([
    expect.objectContaining({ name: 'Second', revision: base }),
    expect.objectContaining({ name: 'First', revision: base }),
  ])
  expect(await stateOf(siteId)).toBe(before)
  expect(await revisionOf(siteId)).toBe(base)
})

test('going back brings frame and pages to the byte, as one change that is told and can be undone', async () => {
  const before = await stateOf(siteId)
  await take('Before much')
  const [checkpoint] = await list()
  await setSlot('brand', '#2a4d8f')
  await save({
    type: 'setSectionTheme',
    sections: [{ doc: 'home', section: 'bench' }],
    theme: 'on-ink',
  })
  await save({ type: 'renameTheme', theme: 'on-ink', name: 'Night' })
  const after = await stateOf(siteId)
  const base = await revisionOf(siteId)

  expect(await goBack(checkpoint!.id)).toMatchObject({
    ok: true,
    value: { revision: base + 1 },
  })
  expect(await stateOf(siteId)).toBe(before)
  const history = await readHistory(localOwner, siteId, { limit: 1 })
  expect(history.ok && history.value.entries[0]!.told).toContain('Before much')
  await undo(localOwner, siteId, base + 1)
  expect(await stateOf(siteId)).toBe(after)
  // The checkpoint is still there, and can be gone back to again.
  await goBack(checkpoint!.id)
  expect(await stateOf(siteId)).toBe(before)
})

test('an old base, or a checkpoint that is not there or of another site, is refused and changes nothing', async () => {
  await take('Here')
  const [here] = await list()
  await setSlot('spark', '#c03a2a')
  const state = await stateOf(siteId)
  const base = await revisionOf(siteId)
  expect(await goBack(here!.id, base - 1)).toEqual({
    ok: false,
    problem: { code: 'stale', revision: base },
  })
  const gone = {
    ok: false,
    problem: { code: 'edit-refused', problem: 'checkpoint-gone', clientId: '' },
  }
  expect(await goBack(randomUUID())).toEqual(gone)
  expect(
    await returnToCheckpoint(localOwner, otherSiteId, await revisionOf(otherSiteId), here!.id),
  ).toEqual(gone)
  expect(await stateOf(siteId)).toBe(state)
  expect(await revisionOf(siteId)).toBe(base)
})

test('others neither see nor take them', async () => {
  const count = await models().Checkpoint.count()
  const gone = { ok: false, problem: { code: 'not-found' } }
  expect(await listCheckpoints(stranger, siteId)).toEqual(gone)
  expect(await takeCheckpoint(stranger, siteId, await revisionOf(siteId), 'x')).toEqual(gone)
  expect(await models().Checkpoint.count()).toBe(count)
})

test('on an old base none is taken', async () => {
  const count = await models().Checkpoint.count()
  const base = await revisionOf(siteId)
  const taken = await takeCheckpoint(localOwner, siteId, base - 1, 'Too late')
  expect(taken).toMatchObject({ ok: false, problem: { code: 'stale' } })
  expect(await models().Checkpoint.count()).toBe(count)
})
