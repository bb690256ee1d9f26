import fc from 'fast-check'
import wcagContrast from 'wcag-contrast'
import { colorOf, over, toOklch, writeHex, type Color } from '../color'
import { assignColors } from './assign'
import { shiftColor, unshifted } from './shift'
import { variations } from './variations'

const of = (text: string): Color => colorOf(text)!
const colors = ['#f7f2e7', '#dce5e0', '#1d5955', '#d65a2a', '#5c6866', '#17211f'].map(of)
const none = colors.map(() => false)

/** The ratio of darkest to lightest as the reference library has it. */
function widest(palette: readonly Color[]): number {
  const hexes = palette.map(writeHex)
  return Math.max(...hexes.flatMap((a) => hexes.map((b) => wcagContrast.hex(a, b))))
}

describe('variations of a palette', () => {
  test('one seed, the same ones; what stays stays; every one can be read (contrast by wcag-contrast)', () => {
    const stays = fc.array(fc.boolean(), { minLength: 6, maxLength: 6 })
    fc.assert(
      fc.property(fc.nat(), stays, fc.boolean(), (seed, kept, hasModel) => {
        const like = hasModel ? variations(colors, none, { seed: 7, count: 1 })[0] : undefined
        const made = variations(colors, kept, { seed, count: 8, like })
        expect(made).toEqual(variations(colors, kept, { seed, count: 8, like }))
        if (kept.every(Boolean)) return expect(made).toEqual([])
        for (const each of made) {
          kept.forEach((stays, i) => stays && expect(each[i]).toBe(colors[i]))
          expect(widest(each)).toBeGreaterThanOrEqual(6.9)
        }
        return undefined
      }),
      { seed: 20261126, numRuns: 60 },
    )
  })

  test('there are eight, each another; those like one are nearer to it than new ones', () => {
    const fresh = variations(colors, none, { seed: 3, count: 8 })
    expect(fresh).toHaveLength(8)
    expect(new Set(fresh.map((each) => each.map(writeHex).join())).size).toBe(8)
    const model = fresh[2]!
    const like = variations(colors, none, { seed: 4, count: 8, like: model })
    expect(like).toHaveLength(8)
    const turn = (a: Color, b: Color) => {
      const gap = Math.abs(toOklch(a).h - toOklch(b).h) % 360
      return Math.min(gap, 360 - gap)
    }
    for (const each of like) expect(turn(each[3]!, model[3]!)).toBeLessThan(40)
  })

  test('what lets through stays so, and what is left over of a palette that cannot be read is nothing', () => {
    const glass = [...colors, of('#1f6b5240')]
    for (const each of variations(glass, [...none, false], { seed: 1, count: 8 })) {
      expect(each.at(-1)!.alpha).toBeCloseTo(0x40 / 255, 5)
    }
    const greys = ['#808080', '#828282'].map(of)
    expect(variations(greys, [true, true], { seed: 1, count: 8 })).toEqual([])
  })
})

describe('a palette that is moved as a whole', () => {
  test('nothing moves at 0; alpha is kept; lighter is lighter, warmer is yellower, less vivid is greyer', () => {
    const seed = 20261126
    const amount = fc.integer({ min: -100, max: 100 })
    fc.assert(
      fc.property(
        fc.nat(0xffffff),
        fc.double({ min: 0.05, max: 1, noNaN: true }),
        amount,
        (n, alpha, by) => {
          const color = { ...of(`#${n.toString(16).padStart(6, '0')}`), alpha }
          expect(writeHex(shiftColor(color, unshifted))).toBe(writeHex(color))
          const moved = shiftColor(color, { ...unshifted, light: by })
          expect(moved.alpha).toBeCloseTo(alpha, 6)
          const gap = toOklch(moved).l - toOklch(color).l
          // Towards the edge of sRGB the gamut takes some lightness with the chroma.
          if (by > 0) expect(gap).toBeGreaterThan(-0.03)
          else expect(gap).toBeLessThan(0.03)
          expect(toOklch(shiftColor(color, { ...unshifted, vivid: -100 })).c).toBeLessThan(0.001)
        },
      ),
      { seed, numRuns: 400 },
    )
  })

  test('paper stays paper and ink stays ink, however far the sliders go', () => {
    for (const light of [-100, 100]) {
      const [paper, ink] = [colors[0]!, colors.at(-1)!].map((each) =>
        shiftColor(each, { ...unshifted, light }),
      ) as [Color, Color]
      expect(wcagContrast.hex(writeHex(paper), writeHex(ink))).toBeGreaterThan(7)
    }
  })
})

test('a see-through colour goes to the see-through slot, not to the dark ground', () => {
  const slots = ['#f7f2e7', '#17211f', '#1d595540'].map((text) => ({ color: of(text) }))
  expect(assignColors(slots, ['#00000040', '#101820', '#fbf8f1'].map(of))).toEqual([2, 1, 0])
  expect(over(of('#00000040'), of('#ffffff')).alpha).toBe(1)
})
