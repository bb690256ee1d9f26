import fc from 'fast-check'
import { database } from '../database/connection'
import { closeTestDatabase, openTestDatabase, save, siteId } from '../database/database.fixture'
import { columnsOf, select, tell } from '../database/sets'
import { loadWhole, rebuildIndex } from '../records'
import { createSite } from '../sites'
import { checkIndex } from '.'
import { useColumns, type Kept } from './columns'
import { countGroups, putUses } from './put-uses'
import type { UseRow } from './rows'

beforeAll(() => openTestDatabase('put_uses_test'))
afterAll(closeTestDatabase)

const colors = ['1c5a54ff', '304069ff', 'f4efe6ff']

/** A use as some others are: few ways to be, so that many are alike. */
const anyUse = fc
  .record({
    color: fc.constantFrom(...colors, null),
    paints: fc.constantFrom('text', 'fill'),
    state: fc.constantFrom(null, 'hover'),
    bindable: fc.boolean(),
    start: fc.constantFrom(null, null, 0, 7),
  })
  .map(({ color, start, ...some }): Omit<UseRow, 'n'> => ({
    ...some,
    color,
    slot: color === null ? 'brand' : null,
    shade: null,
    written: color === null ? 'slot brand' : `#${color}`,
    place: 'content',
    css: null,
    escape: null,
    object: 'text',
    property: 'color',
    path: '["body"]',
    start,
    context: null,
    context_at: null,
    label: 'A heading',
    owner: '{}',
  }))

const anyStep = fc.oneof(
  { weight: 3, arbitrary: fc.record({ put: fc.array(fc.tuple(fc.nat(30), anyUse)) }) },
  {
    weight: 1,
    arbitrary: fc.record({ from: fc.constantFrom(...colors), to: fc.constantFrom(...colors) }),
  },
  { weight: 1, arbitrary: fc.record({ keep: fc.nat(30) }) },
)

async function recordOf(): Promise<string> {
  const [row] = await select<{ no: string }>(
    `select no::text from records where site_id = $1 and kind = 'page' order by no limit 1`,
    [siteId],
  )
  return row!.no
}

test('uses are what they were put as, whatever came to the same before: any puts, exchanges and removals', async () => {
  const record = await recordOf()
  await tell('delete from use_spots where record = $1', [record])
  const kept = new Map<number, Omit<UseRow, 'n'>>()
  let alike = 0
  await fc.assert(
    fc.asyncProperty(fc.array(anyStep, { minLength: 1, maxLength: 6 }), async (steps) => {
      await database().transaction(async (transaction) => {
        for (const step of steps) {
          if ('put' in step) {
            const rows = new Map(step.put)
            for (const [n, use] of rows) kept.set(n, use)
            const given = [...rows].map(([n, use]): Kept<UseRow> => ({
              ...use,
              n,
              record,
              site_id: siteId,
            }))
            const { unnest, names, bind } = columnsOf(useColumns, given)
            const source = `select * from ${unnest()} as u (${names.join(', ')})`
            await tell(putUses(source), bind, transaction)
          } else if ('from' in step) {
            const { from, to } = step
            await tell(
              `update use_groups set color = $3, written = '#' || $3
               where record = $1 and color = $2 and not is_text`,
              [record, from, to],
              transaction,
            )
            for (const [n, use] of kept) {
              if (use.color !== from || use.start !== null) continue
              kept.set(n, { ...use, color: to, written: `#${to}` })
            }
          } else {
            await tell(
              'delete from use_spots where record = $1 and n >= $2',
              [record, step.keep],
              transaction,
            )
            for (const n of kept.keys()) if (n >= step.keep) kept.delete(n)
          }
          await countGroups('select $1::bigint', [record], transaction)
        }
      })
      const rows = await select<Kept<UseRow>>('select * from uses where record = $1 order by n', [
        record,
      ])
      const told = rows.map(({ record: _record, site_id: _site, n, ...use }) => [n, use])
      expect(told).toEqual([...kept].sort(([a], [b]) => a - b))
      const [groups] = await select<{ groups: number }>(
        'select count(*)::int as groups from use_groups where record = $1',
        [record],
      )
      expect(groups!.groups).toBeLessThanOrEqual(kept.size)
      alike += kept.size - groups!.groups
      // The page says something else than what was put; of its groups nothing is wrong.
      const { faults } = await checkIndex(siteId)
      expect(faults.length).toBeLessThanOrEqual(1)
    }),
    { numRuns: 60 },
  )
  expect(alike).toBeGreaterThan(20)
  // Read anew, the page says by itself what it says.
  await rebuildIndex(siteId)
  expect((await checkIndex(siteId)).faults).toEqual([])
})

test('what is put is held against nothing one by one, however much there is and whatever is known of it', async () => {
  const { unnest, names, bind } = columnsOf(useColumns, [])
  const sql = putUses(`select * from ${unnest()} as u (${names.join(', ')})`)
  const plan = await select<{ 'QUERY PLAN': string }>(`explain ${sql}`, bind)
  const told = plan.map((line) => line['QUERY PLAN']).join('\n')
  expect(told).toContain('WindowAgg')
  expect(told).not.toMatch(/Nested Loop|Join Filter/)
})

test('a stylesheet with more uses than are put at a time, most of them alike, is counted as it is read', async () => {
  const css = Array.from({ length: 5600 }, (_, n) => `.a${n} { color: #0f7a3d }`).join('\n')
  expect((await save({ type: 'setCustomCss', css })).ok).toBe(true)
  const [green] = await select<{ groups: number; uses: number }>(
    `select count(*)::int as groups, sum(count)::int as uses from use_groups
     where site_id = $1 and written = '#0f7a3d'`,
    [siteId],
  )
  expect(green).toEqual({ groups: 1, uses: 5600 })
  // A site that is made with it puts it without anything there to be counted.
  const docs = await loadWhole(siteId)
  await database().transaction((transaction) =>
    createSite({ id: 'of-many-rules', workspaceId: 'demo', position: 7 }, docs, transaction),
  )
  expect((await checkIndex('of-many-rules')).faults).toEqual([])
})
