import fc from 'fast-check'
import { applyChanges, changesBetween, takenBack, type Change, type Json } from '.'
import { commonParts } from './take-back'

const seed = 20261128

test('with nothing changed since, all comes back, to the byte', () => {
  const text = fc.string({ maxLength: 120 })
  const record = fc.record({
    css: text,
    list: fc.array(fc.nat({ max: 5 })),
    own: fc.record({ a: text }),
  })
  fc.assert(
    fc.property(record, record, (before, after) => {
      const changes = changesBetween(before as Json, after as Json)
      const { changes: back, touched } = takenBack(changes, after, after)
      expect(touched).toEqual([])
      expect(applyChanges(after, back)).toEqual(before)
    }),
    { seed },
  )
})

test('stretches come back wherever they were shifted to, and what was changed in them is told', () => {
  const words = ['#1c5a54', 'teal', 'a{}', '\n', 'rgb(1 2 3)', ' ', 'é']
  const css = fc.array(fc.constantFrom(...words), { minLength: 3, maxLength: 40 })
  fc.assert(
    fc.property(
      css,
      fc.array(fc.tuple(fc.nat(), fc.constantFrom('', 'X', '/* new */\n'), fc.nat({ max: 3 })), {
        maxLength: 4,
      }),
      (parts, edits) => {
        const before = parts.join('')
        const stretches: Change[] = [...before.matchAll(/#1c5a54/g)]
          .map(({ index }) => ({ path: ['css'], at: index, out: '#1c5a54', in: 'PLUM' }))
          .reverse()
        const after = applyChanges({ css: before }, stretches)!
        let now = after.css
        for (const [at, text, gone] of edits) {
          const from = now.length ? at % now.length : 0
          now = now.slice(0, from) + text + now.slice(from + gone)
        }
        const { changes, touched } = takenBack(stretches, after, { css: now })
        expect(changes.length + touched.length).toBe(stretches.length)
        const back = applyChanges({ css: now }, changes)!
        // What was put back stood there whole; nothing else is other.
        expect(back.css.replaceAll('#1c5a54', '').length).toBe(
          now.replaceAll('#1c5a54', '').length - changes.length * 4,
        )
        if (edits.length === 0) expect(back.css).toBe(before)
      },
    ),
    { seed },
  )
})

test('a decision that somebody changed since stays, and the others come back', () => {
  const changes: Change[] = ['a', 'b'].map((name) => ({
    path: ['looks', name],
    from: { value: '#1c5a54' },
    to: { slot: 'brand' },
  }))
  const after = { looks: { a: { slot: 'brand' }, b: { slot: 'brand' } } }
  const now = { looks: { a: { slot: 'spark' }, b: { slot: 'brand' } }, more: 1 }
  const back = takenBack(changes, after, now)
  expect(back.touched).toEqual([changes[0]])
  expect(applyChanges(now, back.changes)).toEqual({
    looks: { a: { slot: 'spark' }, b: { value: '#1c5a54' } },
    more: 1,
  })
})

test('a megabyte with a line put before it is compared at once', () => {
  const line = '.card { color: #1c5a54; background: white }\n'
  const text = line.repeat(25_000)
  const parts = commonParts(text, `/* new */\n${text.slice(0, 500_000)}X${text.slice(500_000)}`)
  expect(parts.reduce((sum, { from, to }) => sum + to - from, 0)).toBeGreaterThan(text.length - 100)
})
