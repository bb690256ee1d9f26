import fc from 'fast-check'
import { spansOf } from './column-window'

describe('spansOf', () => {
  test('puts gaps before, between and after the columns that are drawn', () => {
    expect(spansOf([2, 3, 6], 9)).toEqual([
      { from: 0, gap: 2 },
      { column: 2 },
      { column: 3 },
      { from: 4, gap: 2 },
      { column: 6 },
      { from: 7, gap: 2 },
    ])
  })

  test('is one gap when nothing is drawn, and nothing when there are no columns', () => {
    expect(spansOf([], 4)).toEqual([{ from: 0, gap: 4 }])
    expect(spansOf([], 0)).toEqual([])
  })

  test('covers every column once, in order', () => {
    fc.assert(
      fc.property(fc.uniqueArray(fc.nat(40), { maxLength: 41 }), (any) => {
        const drawn = any.sort((a, b) => a - b)
        const covered = spansOf(drawn, 41).flatMap((span) =>
          'column' in span
            ? [span.column]
            : Array.from({ length: span.gap }, (_, i) => span.from + i),
        )
        expect(covered).toEqual(Array.from({ length: 41 }, (_, i) => i))
        expect(
          spansOf(drawn, 41).flatMap((span) => ('column' in span ? [span.column] : [])),
        ).toEqual(drawn)
      }),
    )
  })
})
