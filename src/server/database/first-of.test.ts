import { randomUUID } from 'node:crypto'
import { localOwner } from '../access'
import { saveEdits } from '../edits'
import { targetOf } from '../edits/standing'
import { database } from './connection'
import { closeTestDatabase, openTestDatabase, siteId } from './database.fixture'
import { firstOf } from './first-of'
import { models } from './models'

beforeAll(() => openTestDatabase('first_of_test'))
afterAll(closeTestDatabase)

/** The statements that a piece of work sends. */
async function statementsOf(work: () => Promise<unknown>): Promise<string[]> {
  const query = jest.spyOn(database(), 'query')
  await work()
  const sent = query.mock.calls.map(([sql]) => String(sql))
  query.mockRestore()
  return sent
}

test('the last edit of a long history is one row, not all of them', async () => {
  for (const name of ['One', 'Two', 'Three']) {
    const edit = { clientId: randomUUID(), edit: { type: 'renameSite', name } as const }
    expect(await saveEdits(localOwner, siteId, 0, [edit])).toMatchObject({ ok: true })
  }
  const sent = await statementsOf(() => targetOf(siteId, 'undo'))
  expect(sent).toHaveLength(1)
  expect(sent[0]).toMatch(/LIMIT 1;?$/)
  expect((await targetOf(siteId, 'undo'))?.told).toContain('Three')
})

test('of rows by a composite key, of none, and of one by its whole key there is at most one', async () => {
  const { Edit, Site } = models()
  for (const where of [{ siteId }, { siteId, revision: 1 }]) {
    const [sql] = await statementsOf(() => firstOf(Edit, { where }))
    expect(sql).toMatch(/LIMIT 1;?$/)
  }
  expect(await firstOf(Site, { where: { id: 'nowhere' } })).toBeNull()
})
