import { siteFonts } from '../render/fonts'
import { settingsSchema } from '../traits'
import { fontPairs, withFonts } from './font-pairs'
import { siteSettings } from './site-settings'

test('every pair is of typefaces that ship with us, in weights that they have', () => {
  for (const { heading, body } of fontPairs) {
    for (const { family, weight } of [heading, body]) {
      const font = siteFonts.find((each) => each.family === family)!
      const [lightest, boldest] = font.weights
      expect(weight).toBeGreaterThanOrEqual(lightest)
      expect(weight).toBeLessThanOrEqual(boldest)
    }
  }
  expect(new Set(fontPairs.map(({ id }) => id)).size).toBe(fontPairs.length)
})

const usual = siteSettings({ headings: ['Bitter', 700], text: ['Figtree', 400] })

test('a pair puts its typefaces in the place of those there, and nothing else', () => {
  for (const { id, heading, body } of fontPairs) {
    const settings = withFonts(usual, id)
    expect(settingsSchema.parse(settings)).toMatchObject({
      titleFace: heading.family,
      headingFace: heading.family,
      headingWeight: heading.weight,
      bodyFace: body.family,
      interactiveFace: body.family,
      textSize: usual.textSize,
      buttonPad: usual.buttonPad,
    })
  }
})

test('a pair that nobody has leaves the type as it is', () => {
  expect(withFonts(usual, 'gone')).toBe(usual)
  expect(withFonts(usual, undefined)).toBe(usual)
})
