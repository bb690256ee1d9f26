import * as culori from 'culori'
import fc from 'fast-check'
import { demoSites } from '@demo/sites'
import { applyShade, colorOf, parseColor, writeHex, type Color, type Shade } from '../color'
import { anyOpaque } from '../color/random-color.fixture'
import { decisionColor } from '../resolve'
import { isBound, type BoundDecision, type ColorDecision, type Palette, type SlotId } from '../site'
import type { Use } from '../uses'
import type { SweepPair } from './pair'
import { decisionAfter, slotReference, textAfter } from './replacement'

const { palette } = demoSites[0]!.frame
const brand = 'brand' as SlotId
const spark = 'spark' as SlotId

/** A use of a colour somewhere in CSS text, where a slot may be referred to. */
function useOf(text: string, decision?: ColorDecision): Use {
  const color = decision ? decisionColor(palette, decision) : colorOf(text)
  return {
    place: 'custom-css',
    doc: 'site' as Use['doc'],
    path: ['customCss'],
    text,
    decision: decision ?? { value: text },
    ...(color ? { color } : {}),
    paints: 'other',
    object: 'stylesheet',
    property: 'color',
    bindable: true,
    label: 'custom CSS',
    owner: {},
  }
}

/** The pair that looks for a use itself, all of its slot where it is bound. */
const pairOf = ({ decision }: Use, to: ColorDecision): SweepPair => ({
  from: isBound(decision) ? { slot: decision.slot } : { value: decision.value, within: 0 },
  to,
})

const offset = (limit: number) => fc.integer({ min: -limit, max: limit })
const anyShade: fc.Arbitrary<Shade> = fc.record({
  lightness: offset(30),
  saturation: offset(60),
  hue: offset(180),
})

/** The relative colour of CSS Color 5, worked out by culori 4; undefined where sRGB cannot show it. */
function byReference(color: Color, { lightness = 0, saturation = 0, hue = 0 }: Shade) {
  const own = culori.oklch({ mode: 'rgb', ...color })
  const shifted = {
    ...own,
    l: Math.min(1, Math.max(0, own.l + lightness / 100)),
    c: own.c * (1 + saturation / 100),
    h: (own.h ?? 0) + hue,
  }
  return culori.displayable(shifted) ? culori.rgb(shifted) : undefined
}

/** Whether two colours are one but for the rounding of what is worked out. */
const isAlike = (a: Color, b: { readonly r: number; readonly g: number; readonly b: number }) =>
  (['r', 'g', 'b'] as const).every((channel) => Math.abs(a[channel] - b[channel]) < 5e-4)

/** The reference with the slot's colour in place of its custom property, as a browser reads it. */
const standingAlone = (reference: string, ofPalette: Palette) =>
  reference.replace(/var\(--slot-([\w-]+)\)/, (_, slot: SlotId) => ofPalette.slots[slot]!.value!)

describe('a reference to a slot in CSS text', () => {
  test.each<[BoundDecision, string]>([
    [{ slot: brand }, 'var(--slot-brand)'],
    [{ slot: brand, shade: { lightness: 8 } }, 'oklch(from var(--slot-brand) calc(l + 0.08) c h)'],
    [
      { slot: brand, shade: { saturation: -40 } },
      'oklch(from var(--slot-brand) l calc(c * 0.6) h)',
    ],
    [{ slot: brand, shade: { hue: -12 } }, 'oklch(from var(--slot-brand) l c calc(h - 12))'],
    [
      { slot: brand, shade: { alpha: -60 } },
      'rgb(from var(--slot-brand) r g b / calc(alpha - 0.6))',
    ],
  ])('%j is written %s', (decision, written) => {
    expect(slotReference(decision)).toBe(written)
  })

  test('to a shade is the colour of the shade, wherever sRGB has it (culori 4)', () => {
    let compared = 0
    fc.assert(
      fc.property(anyOpaque, anyShade, (color, shade) => {
        const expected = byReference(color, shade)
        if (!expected) return
        compared += 1
        expect(isAlike(applyShade(color, shade), expected)).toBe(true)
        const own: Palette = {
          ...palette,
          slots: {
            ...palette.slots,
            [brand]: { ...palette.slots[brand]!, value: writeHex(color) },
          },
        }
        const read = parseColor(standingAlone(slotReference({ slot: brand, shade }), own))
        expect(read.ok && isAlike(read.color, expected)).toBe(true)
      }),
      { numRuns: 400 },
    )
    expect(compared).toBeGreaterThan(50)
  })
})

describe('what a use becomes', () => {
  test('a half-transparent value keeps its alpha, bound or loose', () => {
    const use = useOf('rgb(51 77 51 / 40%)')
    expect(decisionAfter(palette, use, pairOf(use, { slot: brand }))).toEqual({
      slot: brand,
      shade: { alpha: -60 },
    })
    expect(decisionAfter(palette, use, pairOf(use, { value: '#102030' }))).toEqual({
      value: '#10203066',
    })
    expect(
      decisionAfter(palette, use, pairOf(use, { slot: brand, shade: { lightness: 8 } })),
    ).toEqual({
      slot: brand,
      shade: { lightness: 8, alpha: -60 },
    })
  })

  test('a shade stays that shade of the new slot; two shades add up, within their limits', () => {
    const use = useOf('', { slot: spark, shade: { lightness: -70, hue: 120 } })
    expect(decisionAfter(palette, use, pairOf(use, { slot: brand }))).toEqual({
      slot: brand,
      shade: { lightness: -70, hue: 120 },
    })
    expect(
      decisionAfter(
        palette,
        use,
        pairOf(use, { slot: brand, shade: { lightness: -50, hue: 100 } }),
      ),
    ).toEqual({
      slot: brand,
      shade: { lightness: -100, hue: 180 },
    })
    expect(
      decisionAfter(
        palette,
        use,
        pairOf(use, { slot: brand, shade: { lightness: 70, hue: -120 } }),
      ),
    ).toEqual({ slot: brand })
  })

  test('a shade of a slot that becomes a loose colour is that colour, shifted as far', () => {
    const use = useOf('', { slot: spark, shade: { lightness: 10 } })
    const after = decisionAfter(palette, use, pairOf(use, { value: '#334d33' }))
    expect(after).toEqual({
      value: culori.formatHex(byReference(colorOf('#334d33')!, { lightness: 10 })),
    })
  })

  test('in text, a fallback and the words around the name stay', () => {
    const use = useOf('var(--slot-spark, #D65A2A)', { slot: spark })
    expect(textAfter(palette, use, pairOf(use, { slot: brand }))).toBe('var(--slot-brand, #D65A2A)')
  })

  test('where no slot can be referred to, the value is written out', () => {
    const use = { ...useOf('#334D33'), bindable: false }
    expect(textAfter(palette, use, pairOf(use, { slot: brand }))).toBe(
      palette.slots[brand]!.value!.toUpperCase(),
    )
  })
})
