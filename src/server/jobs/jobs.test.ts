import { setTimeout as pause } from 'node:timers/promises'
import { localOwner } from '../access'
import {
  closeTestDatabase,
  openTestDatabase,
  revisionOf,
  siteId,
  stateOf,
  stranger,
} from '../database/database.fixture'
import { select, tell } from '../database/sets'
import { undo } from '../edits'
import { stopHearing } from '../live'
import {
  beginJob,
  cancelJob,
  closeQueue,
  jobSoon,
  jobState,
  startWorker,
  stepOrJob,
  workOn,
} from '.'

beforeAll(() => openTestDatabase('jobs_test'))
afterAll(async () => {
  await closeQueue()
  await stopHearing()
  await closeTestDatabase()
})

const green = {
  type: 'sweep',
  request: {
    pairs: [{ from: { value: '#1c5a54', within: 0 }, to: { slot: 'brand' } }],
    scope: 'site',
  },
}
const begin = async (kind: Parameters<typeof beginJob>[2], data: unknown) => {
  const begun = await beginJob(localOwner, siteId, kind, data)
  if (!begun.ok) throw new Error(begun.problem.code)
  return begun.value
}
const ended = async (id: string) => {
  const state = await jobSoon(localOwner, siteId, id, 20_000)
  if (!state.ok) throw new Error(state.problem.code)
  return state.value
}

describe('with a worker', () => {
  let stop: () => Promise<void>
  beforeAll(async () => {
    stop = await startWorker()
  })
  afterAll(() => stop())

  test('a sweep is done beside the server, soon, and undone', async () => {
    const before = await stateOf(siteId)
    const start = Date.now()
    const job = await ended(await begin('wide', { base: 'any', intent: green }))
    expect(job).toMatchObject({ state: 'done', result: { revision: await revisionOf(siteId) } })
    expect(job.result!.changed).toBeGreaterThan(10)
    // It does not wait for the next time that somebody looks whether there is work.
    expect(Date.now() - start).toBeLessThan(1900)
    await undo(localOwner, siteId, await revisionOf(siteId))
    expect(await stateOf(siteId)).toBe(before)
  })

  test('what cannot be done is told with the same words as everywhere', async () => {
    const intent = { type: 'removeSlot', slot: 'nowhere', to: { slot: 'ink' } }
    expect(await ended(await begin('wide', { base: 'any', intent }))).toMatchObject({
      state: 'refused',
      problem: { code: 'edit-refused', problem: 'slot-gone' },
    })
  })

  test('publishing and packing are work, too', async () => {
    expect(await ended(await begin('publish', null))).toMatchObject({ state: 'done' })
    const packed = await ended(await begin('pack', null))
    expect(packed).toMatchObject({
      state: 'done',
      result: { file: expect.stringMatching(/^[0-9a-f]{64}$/) },
    })
  })

  test('a step over few records is done at once', async () => {
    const job = await ended(await begin('wide', { base: 'any', intent: green }))
    expect(job.state).toBe('done')
    const stepped = await stepOrJob(localOwner, siteId, await revisionOf(siteId), 'undo')
    expect(stepped).toMatchObject({ ok: true, value: { entries: [{ kind: 'undo' }] } })
  })
})

test('work that has not begun is broken off, and then not done', async () => {
  const before = await stateOf(siteId)
  const id = await begin('wide', { base: 'any', intent: green })
  expect(await cancelJob(localOwner, siteId, id)).toEqual({ ok: true, value: null })
  await workOn(id)
  expect(await ended(id)).toMatchObject({ state: 'cancelled' })
  expect(await stateOf(siteId)).toBe(before)
})

test('work that was begun is broken off where nothing is half done', async () => {
  const before = await stateOf(siteId)
  const id = await begin('wide', { base: 'any', intent: green })
  await tell('update jobs set cancelled = true where id = $1', [id])
  await workOn(id)
  const { state } = await ended(id)
  // It hears of the wish where it next tells how far it is; all or nothing either way.
  expect(['cancelled', 'done']).toContain(state)
  if (state === 'cancelled') expect(await stateOf(siteId)).toBe(before)
  else await undo(localOwner, siteId, await revisionOf(siteId))
  const left = await select('select 1 from staged_records', [])
  expect(left).toEqual([])
})

test('work that a killed worker left running is done by the next one, once', async () => {
  const id = await begin('wide', { base: 'any', intent: green })
  // The queue thinks that somebody is at it; nobody is.
  await tell(`update jobs set state = 'running' where id = $1`, [id])
  await tell(`update pgboss.job set state = 'active' where data->>'job' = $1`, [id])
  const before = await revisionOf(siteId)
  const stop = await startWorker()
  expect(await ended(id)).toMatchObject({ state: 'done' })
  await pause(200)
  await stop()
  expect(await revisionOf(siteId)).toBe(before + 1)
  await workOn(id)
  expect(await revisionOf(siteId)).toBe(before + 1)
})

test('a worker of an older shape leaves work alone; that of today takes what was begun before over', async () => {
  const id = await begin('publish', null)
  await tell(`update jobs set shape = '0.0' where id = $1`, [id])
  await workOn(id)
  expect(await jobState(localOwner, siteId, id)).toMatchObject({ value: { state: 'waiting' } })
  const stop = await startWorker()
  expect(await ended(id)).toMatchObject({ state: 'done' })
  await stop()
})

test('strangers neither begin work nor learn of it', async () => {
  const gone = { ok: false, problem: { code: 'not-found' } }
  expect(await beginJob(stranger, siteId, 'publish', null)).toEqual(gone)
  const id = await begin('publish', null)
  expect(await jobState(stranger, siteId, id)).toEqual(gone)
  expect(await cancelJob(stranger, siteId, id)).toEqual(gone)
})
