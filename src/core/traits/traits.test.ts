import fc from 'fast-check'
import { settingIds, settings, settingsSchema, effectiveSetting } from './settings'
import { fluidFrom, fluidSize, fluidTo, sizeAt, sizeCss } from './scale'
import { statesBehind, states } from './states'
import { traitIds, traits } from './traits'
import { plainValues } from './values'
import { siteSettings } from '../designs/site-settings'

const usual = siteSettings({ headings: ['Bitter', 700], text: ['Figtree', 400] })

test('every trait is told, and what it holds is known or has colours in it', () => {
  expect(Object.keys(traits)).toEqual([...traitIds])
  const withColors = traitIds.filter((id) => !(id in plainValues))
  expect(withColors).toEqual(['shadow'])
})

test('every setting is told, and a usual site has each within its range', () => {
  expect(Object.keys(settings).sort()).toEqual([...settingIds].sort())
  expect(settingsSchema.safeParse(usual).error).toBeUndefined()
})

test('density multiplies space, and nothing else', () => {
  const dense = { ...usual, density: 0.75 }
  const changed = settingIds.filter(
    (id) =>
      JSON.stringify(effectiveSetting(dense, id)) !== JSON.stringify(effectiveSetting(usual, id)),
  )
  expect(changed.sort()).toEqual(['buttonPad', 'cardPad', 'density', 'sectionSpace'])
  expect(effectiveSetting(dense, 'sectionSpace')).toBe(66)
  expect(effectiveSetting(dense, 'buttonPad')).toEqual({ block: 9.75, inline: 18 })
})

test('in every state what is decided for it counts first, and what is at rest last', () => {
  for (const state of states) {
    expect(statesBehind[state][0]).toBe(state)
    expect(statesBehind[state].at(-1)).toBe('rest')
  }
})

/** `clamp(a, b + cvw, d)`, worked out as CSS Values and Units 4 says: the middle, held between both ends. */
function clamped(css: string, width: number): number {
  const rem = (text: string) => Number.parseFloat(text) * 16
  const parts = /^clamp\((-?[\d.]+)rem, (-?[\d.]+)rem ([+-]) ([\d.]+)vw, (-?[\d.]+)rem\)$/.exec(css)
  if (!parts) return rem(css)
  const [, least, start, sign, slope, most] = parts as unknown as [string, ...string[]]
  const grows = (Number(slope) / 100) * width
  const middle = rem(start!) + (sign === '-' ? -grows : grows)
  return Math.max(rem(least!), Math.min(middle, rem(most!)))
}

const size = fc.oneof(
  fc.record({ step: fc.integer({ min: -3, max: 8 }) }),
  fc.record({ px: fc.integer({ min: 6, max: 240 }), narrow: fc.integer({ min: 6, max: 240 }) }),
  fc.record({ px: fc.integer({ min: 6, max: 240 }) }),
)

test('a fluid size written as CSS comes to the size that the core has, in any window', () => {
  fc.assert(
    fc.property(
      size,
      fc.record({
        textSize: fc.integer({ min: 12, max: 24 }),
        scale: fc.double({ min: 1, max: 2, noNaN: true }),
        narrowScale: fc.double({ min: 1, max: 2, noNaN: true }),
      }),
      fc.integer({ min: 200, max: 3000 }),
      (each, scale, width) => {
        const fluid = fluidSize(scale, each)
        expect(clamped(sizeCss(fluid), width)).toBeCloseTo(sizeAt(fluid, width), 1)
      },
    ),
  )
})

test('a scale is the text size times the ratio to the power of the step, at both ends', () => {
  const scale = { textSize: 16, scale: 1.5, narrowScale: 1.25 }
  expect(fluidSize(scale, { step: 0 })).toEqual({ narrow: 16, wide: 16 })
  expect(fluidSize(scale, { step: 2 })).toEqual({ narrow: 25, wide: 36 })
  expect(fluidSize(scale, { step: -1 })).toEqual({ narrow: 12.8, wide: 10.67 })
  expect(sizeAt({ narrow: 25, wide: 36 }, fluidFrom)).toBe(25)
  expect(sizeAt({ narrow: 25, wide: 36 }, (fluidFrom + fluidTo) / 2)).toBe(30.5)
  expect(sizeAt({ narrow: 25, wide: 36 }, 5000)).toBe(36)
})
