import fc from 'fast-check'
import { colorKey, colorOf, contrast, luminance, over, white } from '../color'
import { anyColor } from '../color/random-color.fixture'
import { castColors } from './cast'
import { readyMade } from './ready-made'

test('the lightest is paper, the darkest ink, the most vivid the accent', () => {
  const colors = readyMade.find(({ name }) => name === 'Night ferry')!.colors
  const cast = castColors(colors.map((hex) => colorOf(hex)!))
  const key = (text: string) => colorKey(colorOf(text)!)
  expect(colorKey(cast.paper)).toBe(key('#f2f5f9'))
  expect(colorKey(cast.ink)).toBe(key('#0f1b2d'))
  expect(colorKey(cast.accent)).toBe(key('#f4b942'))
})

test('every part is played, whatever colours there are, and words take the better of paper and ink', () => {
  fc.assert(
    fc.property(fc.array(anyColor, { maxLength: 12 }), (colors) => {
      const cast = castColors(colors)
      expect(Object.values(cast).every((color) => color.alpha === 1)).toBe(true)
      expect(luminance(cast.paper)).toBeGreaterThanOrEqual(luminance(cast.ink))
      for (const [words, ground] of [
        [cast.onBrand, cast.brand],
        [cast.onAccent, cast.accent],
        [cast.onPale, cast.pale],
      ] as const) {
        const best = Math.max(contrast(cast.paper, ground), contrast(cast.ink, ground))
        expect(contrast(words, over(ground, white))).toBeCloseTo(best, 10)
      }
    }),
  )
})
