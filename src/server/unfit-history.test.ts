import { localOwner } from './actor'
import {
  closeTestDatabase,
  openTestDatabase,
  revisionOf,
  save,
  siteId,
  stateOf,
} from './database.fixture'
import { models } from './database/models'
import { readHistory, undo } from './edits'

beforeAll(() => openTestDatabase('unfit_test'))
afterAll(closeTestDatabase)

describe('a stored change that no longer fits', () => {
  const alter = (inverse: unknown) =>
    models().Edit.update({ inverse: inverse as never }, { where: { siteId, standing: 'live' } })

  test.each([
    ['leads nowhere', [{ op: 'replace', path: ['frame', 'gone', 'x', 'y'], value: 1 }]],
    [
      'would leave the site unreadable',
      [{ op: 'replace', path: ['frame', 'palette'], value: { order: [] } }],
    ],
    ['is of an older shape', [{ op: 'add', path: ['frame', 'oldMember'], value: true }]],
    ['takes a member away', [{ op: 'remove', path: ['frame', 'themes'] }]],
  ])('%s: undo is refused in words, and nothing is changed', async (_, inverse) => {
    expect(await save({ type: 'setSlot', slot: 'brand', value: '#0a0b0c' })).toMatchObject({
      ok: true,
    })
    const [before, revision] = [await stateOf(siteId), await revisionOf(siteId)]
    await alter(inverse)
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
  const history = await readHistory(localOwner, siteId, 1)
  expect(history).toMatchObject({ value: [{ told: 'Paper renamed to Zinc' }] })
})
