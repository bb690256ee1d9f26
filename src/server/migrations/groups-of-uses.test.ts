import { database } from '../database/connection'
import { closeTestDatabase, openTestDatabase, siteId } from '../database/database.fixture'
import { select, tell } from '../database/sets'
import { bringUpToDate } from '../records'
import { checkIndex } from '../uses'
import { down, up } from './017-groups-of-uses'

beforeAll(() => openTestDatabase('groups_of_uses_test'))
afterAll(closeTestDatabase)

const uses = () =>
  select<{ record: string; n: number }>('select * from uses order by record, n', [])
const groups = async () => {
  const [row] = await select<{ count: number }>('select count(*)::int as count from use_groups', [])
  return row!.count
}

test('uses that were kept one by one come to be groups, and go back, as they were', async () => {
  // Snippets hold the same colours as texts that elements hold as decisions.
  await tell(
    `update use_groups set color = '1c5a54ff', slot = null, shade = null, written = '#1c5a54'
     where site_id = $1 and is_text`,
    [siteId],
  )
  const [before, grouped] = [await uses(), await groups()]
  expect(before.length).toBeGreaterThan(250)
  const query = database().getQueryInterface()
  await down(query)
  expect(await uses()).toEqual(before)
  await up(query)
  expect(await uses()).toEqual(before)
  expect(await groups()).toBeLessThanOrEqual(grouped)
  const [odd] = await select<{ count: number }>(
    `select count(*)::int as count from use_groups g
     where g.count <> (select count(*) from use_spots s where s.record = g.record and s.g = g.g)
       or g.is_text <> (select bool_and(start is not null) from use_spots s
                        where s.record = g.record and s.g = g.g)`,
    [],
  )
  expect(odd!.count).toBe(0)
  await tell('update records set readers = 0, index_hash = null', [])
  await bringUpToDate()
  expect((await checkIndex()).faults).toEqual([])
})
