import { localOwner } from '../access'
import {
  closeTestDatabase,
  openTestDatabase,
  revisionOf,
  save,
  siteId,
  stateOf,
} from '../database/database.fixture'
import { models } from '../database/models'
import { select, tell } from '../database/sets'
import { readHistory, undo } from '.'

beforeAll(() => openTestDatabase('unfit_test'))
afterAll(closeTestDatabase)

describe('a stored change that no longer fits', () => {
  const alter = async (changes: unknown, schema = 4) => {
    const [live] = await select<{ revision: number }>(
      `select max(revision) as revision from edits where site_id = $1 and standing = 'live'`,
      [siteId],
    )
    await tell(
      'update edit_records set changes = $3, schema = $4 where site_id = $1 and revision = $2',
      [siteId, live!.revision, JSON.stringify(changes), schema],
    )
  }

  test.each<[string, unknown]>([
    ['leads nowhere', [{ path: ['gone', 'x', 'y'], from: 1, to: 2 }]],
    ['would leave the site unreadable', [{ path: ['edition'], from: 'dusk', to: 'light' }]],
    ['is of an older shape', [{ path: ['oldMember'], from: true }]],
    ['takes a member away', [{ path: ['themes', 'order', 0], from: 'on-paper', to: 'gone' }]],
  ])('%s: undo is refused in words, and nothing is changed', async (_, changes) => {
    expect(await save({ type: 'setSlot', slot: 'brand', value: '#0a0b0c' })).toMatchObject({
      ok: true,
    })
    const [before, revision] = [await stateOf(siteId), await revisionOf(siteId)]
    await alter(changes)
    expect(await undo(localOwner, siteId, revision)).toEqual({
      ok: false,
      problem: { code: 'step-unfit', kind: 'undo', told: 'Brand set to #0a0b0c' },
    })
    expect([await stateOf(siteId), await revisionOf(siteId)]).toEqual([before, revision])
    await models().Edit.update({ standing: 'abandoned' }, { where: { siteId, standing: 'live' } })
    expect(await save({ type: 'setSlot', slot: 'brand', value: '#1d5955' })).toMatchObject({
      ok: true,
    })
  })
})

test('history tells a change in the names that held before it', async () => {
  await save({ type: 'renameSlot', slot: 'paper', name: 'Zinc' })
  const history = await readHistory(localOwner, siteId, { limit: 1 })
  expect(history).toMatchObject({ value: { entries: [{ told: 'Paper renamed to Zinc' }] } })
})

describe('a change that was made in an older shape of the site', () => {
  const alterLast = (changes: unknown, schema: number) =>
    tell(
      `update edit_records e set changes = $2, schema = $3 from edits d
       where d.site_id = $1 and d.standing = 'live' and e.site_id = d.site_id
         and e.revision = d.revision and e.revision = (
           select max(revision) from edits where site_id = $1 and standing = 'live')`,
      [siteId, JSON.stringify(changes), schema],
    )

  test('is taken back where the steps since then carry it', async () => {
    const before = await stateOf(siteId)
    await save({ type: 'setSlot', slot: 'spark', value: '#aa0011' })
    const rows = await select<{ changes: string }>(
      'select changes from edit_records where site_id = $1 order by revision desc limit 1',
      [siteId],
    )
    await alterLast(JSON.parse(rows[0]!.changes), 1)
    expect(await undo(localOwner, siteId, await revisionOf(siteId))).toMatchObject({ ok: true })
    expect(await stateOf(siteId)).toBe(before)
  })

  test('closes the history there, in words, where they cannot', async () => {
    await save({ type: 'setSlot', slot: 'spark', value: '#aa0022' })
    const state = await stateOf(siteId)
    await alterLast([{ path: ['palette'], from: {}, to: {} }], 2)
    expect(await undo(localOwner, siteId, await revisionOf(siteId))).toEqual({
      ok: false,
      problem: { code: 'history-closed' },
    })
    expect(await stateOf(siteId)).toBe(state)
  })
})
