import { siteFonts } from '../render/fonts'
import { typeSchema } from '../site/frame'
import { fontPairs, withFonts } from './font-pairs'

test('every pair is of typefaces that ship with us, in weights that they have', () => {
  for (const { heading, body } of fontPairs) {
    for (const { family, weight } of [heading, body]) {
      const font = siteFonts.find((each) => each.family === family)!
      const [lightest, boldest] = font.weights.split(' ').map(Number) as [number, number]
      expect(weight).toBeGreaterThanOrEqual(lightest)
      expect(weight).toBeLessThanOrEqual(boldest)
    }
    expect(typeSchema.safeParse({ heading, body, size: 16 }).success).toBe(true)
  }
  expect(new Set(fontPairs.map(({ id }) => id)).size).toBe(fontPairs.length)
})

test('a pair that nobody has leaves the type as it is', () => {
  const type = { heading: fontPairs[0]!.heading, body: fontPairs[0]!.body, size: 18 }
  expect(withFonts(type, 'gone')).toBe(type)
  expect(withFonts(type, 'loud')).toMatchObject({ heading: { family: 'Unbounded' }, size: 18 })
})
