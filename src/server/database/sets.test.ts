import fc from 'fast-check'
import { closeTestDatabase, openTestDatabase } from './database.fixture'
import { insertLong, insertRows, select, tell, type Columns } from './sets'

interface Row {
  readonly n: number
  readonly words: string | null
  readonly big: string | null
  readonly yes: boolean | null
}
const columns: Columns<Row> = { n: 'int', words: 'text', big: 'bigint', yes: 'boolean' }

beforeAll(async () => {
  await openTestDatabase('sets_test')
  await tell('create table kept (n integer primary key, words text, big bigint, yes boolean)', [])
})
afterAll(closeTestDatabase)

/** What an array of PostgreSQL could take for something else; NUL cannot be kept, and is refused before. */
const nasty = fc.constantFrom(
  ...[
    '',
    'NULL',
    'null',
    '"',
    '\\',
    '\\"',
    '{',
    '}',
    '{}',
    ',',
    ' ',
    "'",
    '\n',
    '\t',
    '$1',
    '{a,"b"}',
  ],
  ...['\\\\', 'x"', '"x', 'é', '色', '🎨', '{"a":"\\u0041"}'],
)
const words = fc
  .oneof(
    nasty,
    fc
      .array(fc.oneof(nasty, fc.string({ unit: 'grapheme' })), { maxLength: 5 })
      .map((all) => all.join('')),
  )
  .filter((text) => !text.includes('\0'))
const row = fc.record({
  words: fc.option(words),
  big: fc.option(fc.bigInt(-(2n ** 63n), 2n ** 63n - 1n).map(String)),
  yes: fc.option(fc.boolean()),
})

test.each([
  ['in sets', insertRows],
  ['one by one', insertLong],
])('rows that are written %s are read as they were', async (_how, insert) => {
  await fc.assert(
    fc.asyncProperty(fc.array(row, { maxLength: 12 }), async (some) => {
      const rows: Row[] = some.map((each, n) => ({ n, ...each }))
      await tell('truncate kept', [])
      await insert('kept', columns, rows, undefined)
      expect(await select('select * from kept order by n', [])).toEqual(rows)
    }),
    { numRuns: 150 },
  )
})

test('more rows than one statement holds values for are all written', async () => {
  const rows: Row[] = Array.from({ length: 2500 }, (_, n) => ({
    n,
    words: `row ${n}`,
    big: null,
    yes: n % 2 === 0,
  }))
  await tell('truncate kept', [])
  await insertLong('kept', columns, rows, undefined)
  expect(await select('select * from kept order by n', [])).toEqual(rows)
})
