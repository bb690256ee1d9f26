import fc from 'fast-check'
import { itemsOf } from './json-items'
import { ArchiveRefused } from './refused'

test('gives what a parser gives, item by item', () => {
  const seed = Math.floor(Math.random() * 1e9)
  console.warn(`json items: seed ${seed}`)
  fc.assert(
    fc.property(fc.array(fc.jsonValue()), fc.boolean(), (list, isWide) => {
      const text = isWide ? JSON.stringify(list, null, 2) : JSON.stringify(list)
      expect([...itemsOf(Buffer.from(text))]).toEqual(JSON.parse(text))
    }),
    { seed },
  )
})

test.each([
  '',
  '[',
  ']',
  '{}',
  '[1',
  '1]',
  '[1,]',
  '[,1]',
  '[1,,2]',
  '[1]]',
  '[[1]',
  '["]',
  '[}]',
  '[1 2]',
])('what is no list is refused: %s', (text) => {
  expect(() => [...itemsOf(Buffer.from(text))]).toThrow(ArchiveRefused)
})

test('what comes before a fault is given, and nothing after it is read', () => {
  const items = itemsOf(Buffer.from(`[{"a":1},oops,${'{},'.repeat(1_000_000)}{}]`))
  expect(items.next().value).toEqual({ a: 1 })
  expect(() => items.next()).toThrow(ArchiveRefused)
})
