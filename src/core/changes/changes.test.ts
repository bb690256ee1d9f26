import fc from 'fast-check'
import { applyChanges, changesBetween, ChangeUnfit, isSame, reversed, type Change } from '.'

const anyText = fc.oneof(
  fc.string({ unit: 'binary', maxLength: 80 }),
  fc.constantFrom('a'.repeat(70), `${'a'.repeat(40)}😀${'b'.repeat(40)}`, '😀'.repeat(40)),
)
const anyRecord = fc.letrec((tie) => ({
  value: fc.oneof(
    { maxDepth: 4 },
    anyText,
    fc.integer(),
    fc.constant(null),
    tie('list'),
    tie('members'),
  ),
  list: fc.array(tie('value'), { maxLength: 6 }),
  members: fc.dictionary(
    fc.constantFrom('a', 'b', 'c', 'constructor', 'toString', '0'),
    tie('value'),
    { maxKeys: 5 },
  ),
})).members

const stored = (changes: readonly Change[]) => JSON.parse(JSON.stringify(changes)) as Change[]

test('what lies between two states leads from one to the other and back, stored as JSON', () => {
  fc.assert(
    fc.property(anyRecord, anyRecord, (a, b) => {
      const changes = stored(changesBetween(a, b))
      expect(isSame(applyChanges(a, changes), b)).toBe(true)
      expect(isSame(applyChanges(b, reversed(changes)), a)).toBe(true)
      expect(reversed(reversed(changes))).toEqual(changes)
      expect(changesBetween(a, structuredClone(a))).toEqual([])
    }),
    { numRuns: 2000 },
  )
})

test('a record that comes or goes is one change', () => {
  const page = { title: 'Home' }
  expect(changesBetween(undefined, page)).toEqual([{ path: [], to: page }])
  expect(applyChanges(undefined, [{ path: [], to: page }])).toEqual(page)
  expect(applyChanges(page, reversed([{ path: [], to: page }]))).toBeUndefined()
})

test('a change of a long text holds no more than what differs', () => {
  const css = 'a { color: red }\n'.repeat(1000)
  const [change, ...more] = changesBetween({ css }, { css: css.replace('red', 'tan') })
  expect(more).toEqual([])
  expect(change).toEqual({ path: ['css'], at: 11, out: 'red', in: 'tan' })
})

test('halves of a pair of surrogates stay together', () => {
  const text = (middle: string) => ({ t: `${'a'.repeat(40)}${middle}${'b'.repeat(40)}` })
  const [change] = changesBetween(text('😀'), text('😁'))
  expect(change).toMatchObject({ out: '😀', in: '😁' })
})

test('what both states share is not looked into', () => {
  const trap = new Proxy(
    {},
    {
      ownKeys: () => {
        throw new Error('looked')
      },
    },
  )
  expect(changesBetween({ trap, a: 1 }, { trap, a: 2 })).toEqual([{ path: ['a'], from: 1, to: 2 }])
})

test.each<[string, unknown, Change]>([
  ['another value', { a: 1 }, { path: ['a'], from: 2, to: 3 }],
  ['a value where none should be', { a: 1 }, { path: ['a'], to: 3 }],
  ['a way that leads nowhere', { a: 1 }, { path: ['b', 'c'], to: 3 }],
  ['another text', { a: 'abc' }, { path: ['a'], at: 1, out: 'x', in: 'y' }],
  ['a text where a list should be', { a: 'abc' }, { path: ['a'], at: 1, out: ['b'], in: [] }],
  ['a list that ends before', { a: [1] }, { path: ['a'], at: 3, out: [], in: [2] }],
  ['an item that is not there', { a: [1] }, { path: ['a', 1], from: 2, to: 3 }],
  ['what every object answers to', {}, { path: ['constructor', 'name'], from: 'Object', to: 'x' }],
])('a change that finds %s is refused', (_told, record, change) => {
  const before = JSON.stringify(record)
  expect(() => applyChanges(record, [change])).toThrow(ChangeUnfit)
  expect(JSON.stringify(record)).toBe(before)
})

test('many stretches of one text, forth and back, are the same made together as made one by one', () => {
  const anyCuts = fc.uniqueArray(fc.nat({ max: 200 }), { minLength: 1, maxLength: 30 })
  fc.assert(
    fc.property(
      anyCuts,
      fc.array(fc.string({ maxLength: 4 }), { minLength: 30, maxLength: 30 }),
      (cuts, words) => {
        const text = Array.from({ length: 400 }, (_, i) => String.fromCharCode(97 + (i % 26))).join(
          '',
        )
        const changes = [...cuts]
          .sort((a, b) => b - a)
          .map((cut, i): Change => ({
            path: ['t'],
            at: cut * 2,
            out: text.slice(cut * 2, cut * 2 + 2),
            in: words[i]!,
          }))
        const together = applyChanges({ t: text }, changes)!
        const one = changes.reduce((now, change) => applyChanges(now, [change])!, { t: text })
        expect(together).toEqual(one)
        expect(applyChanges(together, reversed(changes))).toEqual({ t: text })
        const back = reversed(changes).reduce(
          (now, change) => applyChanges(now, [change])!,
          together,
        )
        expect(back).toEqual({ t: text })
      },
    ),
  )
})

test('what is changed in one pass still has to be found', () => {
  const wrong: Change[] = [
    { path: ['t'], at: 4, out: 'e', in: 'E' },
    { path: ['t'], at: 0, out: 'x', in: 'A' },
  ]
  expect(() => applyChanges({ t: 'abcdef' }, wrong)).toThrow(ChangeUnfit)
  expect(() => applyChanges({ t: 'abcdef' }, [...wrong].reverse())).toThrow(ChangeUnfit)
})
