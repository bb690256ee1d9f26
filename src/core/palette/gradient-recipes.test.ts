import fc from 'fast-check'
import { fromBytes } from '../color'
import { gradientPaint } from '../site/paint'
import { gradientRecipes } from './gradient-recipes'

const colors = fc
  .array(fc.tuple(fc.nat(255), fc.nat(255), fc.nat(255)), { minLength: 1, maxLength: 64 })
  .map((all) => all.map((bytes, i) => ({ id: `slot-${i}`, color: fromBytes(bytes) })))

test('any palette gives at least twenty gradients, each a paint whose stops go from start to end and follow its slots', () => {
  fc.assert(
    fc.property(colors, (palette) => {
      const made = gradientRecipes(palette)
      expect(made.length).toBeGreaterThanOrEqual(20)
      const ids = new Set(palette.map(({ id }) => id))
      for (const { paint } of made) {
        const read = gradientPaint.parse(paint)
        expect(read.stops.every(({ at }, i, all) => i === 0 || all[i - 1]!.at <= at)).toBe(true)
        for (const { color } of read.stops)
          expect('slot' in color && ids.has(color.slot)).toBe(true)
      }
      expect(new Set(made.map(({ id }) => id)).size).toBe(made.length)
    }),
  )
})

test('a palette without a colour has none', () => {
  expect(gradientRecipes([])).toEqual([])
})
