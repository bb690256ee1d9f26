import { demoSites } from '@demo/sites'
import { orderBetween, siteDocs, type Page } from '@/core/site'
import { closeTestDatabase, openTestDatabase } from '../database/database.fixture'
import { models } from '../database/models'
import { select } from '../database/sets'
import { createSite } from '.'

beforeAll(() => openTestDatabase('create_test'))
afterAll(closeTestDatabase)

/** How many rows the database takes a table to have when it plans; −1 where it never looked. */
async function known(table: string): Promise<number> {
  const [row] = await select<{ rows: number }>(
    'select reltuples::int as rows from pg_class where oid = $1::regclass',
    [table],
  )
  return row!.rows
}

test('after a large site came the database knows how much there is, and need not guess how to ask', async () => {
  const { frame, pages } = demoSites[0]!
  const [first] = pages
  let order: string | null = null
  const many = Array.from({ length: 220 }, (_, n): Page => {
    order = orderBetween(order, null)
    const id = `page-${n}` as Page['id']
    return { ...first!, id, order, path: n === 0 ? 'index' : id, title: `Page ${n}` }
  })
  await models().sequelize.transaction((transaction) =>
    createSite(
      { id: 'many', workspaceId: 'demo', position: 5 },
      siteDocs(frame, many),
      transaction,
    ),
  )
  for (const table of ['records', 'contents', 'use_groups', 'use_spots', 'bands', 'looks']) {
    const [there] = await select<{ count: number }>(
      `select count(*)::int as count from ${table}`,
      [],
    )
    expect(there!.count).toBeGreaterThan(220)
    expect(Math.abs((await known(table)) - there!.count)).toBeLessThan(there!.count / 10)
  }
})
