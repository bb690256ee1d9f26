import fc from 'fast-check'
import { demoSites } from '@demo/sites'
import { applyShade, colorOf, difference, mapToGamut, writeHex } from '../color'
import { anyOpaque } from '../color/random-color.fixture'
import { decisionColor } from '../resolve'
import type { Palette, SlotId } from '../site'
import { boundTo, leftoverFinder, waiting } from './leftovers'

const brand = 'brand' as SlotId
const { palette: demo } = demoSites[0]!.frame

/** The demo's palette with a slot that holds one colour and held others before. */
const holding = (value: string, ...was: string[]): Palette => ({
  ...demo,
  order: [brand],
  slots: { [brand]: { ...demo.slots[brand]!, value, was } } as Palette['slots'],
})
const found = (palette: Palette, text: string) => leftoverFinder(palette)(colorOf(text)!)

test('what a slot holds, nearly holds or held is left behind by it', () => {
  const palette = holding('#d65a2a', '#1c5a54')
  expect(found(palette, '#d65a2a')).toEqual({ slot: brand, difference: 0, held: false })
  expect(found(palette, '#d65b2b')).toMatchObject({ slot: brand, held: false })
  expect(found(palette, '#1c5a54')).toMatchObject({ slot: brand, held: true })
  expect(found(palette, '#2e6fb7')).toBeUndefined()
  // What it held is known to the very colour alone: near ones may be somebody else's.
  expect(found(palette, '#1d5b56')).toBeUndefined()
})

test('transparent variants and shades of it too, each to what it is a variant of', () => {
  const palette = holding('#d65a2a', '#1c5a54')
  expect(found(palette, 'rgb(28 90 84 / 18%)')).toMatchObject({ slot: brand, held: true })
  const lighter = writeHex(applyShade(colorOf('#1c5a54')!, { lightness: 8 }))
  expect(found(palette, lighter)).toMatchObject({
    slot: brand,
    shade: { lightness: 8 },
    held: true,
  })
})

test('a shade that is written out where no slot can stand is as it should be', () => {
  const palette = holding('#1d5955')
  const shade = writeHex(applyShade(colorOf('#1d5955')!, { lightness: 16 }))
  const left = found(palette, shade)!
  expect(left).toMatchObject({ shade: { lightness: 16 }, difference: 0 })
  expect(waiting(left, { count: 3, bindable: 1 })).toBe(1)
  expect(waiting({ difference: 0.4 }, { count: 3, bindable: 1 })).toBe(3)
})

test('a step of the ramp with a colour of its own is that colour', () => {
  const plain = holding('#1d5955')
  const own = { ...plain.slots[brand]!, steps: { 8: '#2e6fb7' } }
  const palette = { ...plain, slots: { [brand]: own } as Palette['slots'] }
  expect(found(plain, '#2e6fb7')).toBeUndefined()
  expect(found(palette, '#2e6fb7')).toMatchObject({ shade: { lightness: 8 }, difference: 0 })
})

test('greys are left behind by no shade: they come from anywhere', () => {
  const palette = holding('#777777')
  expect(found(palette, '#777777')).toBeDefined()
  const lighter = writeHex(applyShade(colorOf('#777777')!, { lightness: 8 }))
  expect(found(palette, lighter)).toBeUndefined()
})

test('of any slot, every colour that it holds or held is found, and what is found tells how far off it is', () => {
  fc.assert(
    fc.property(fc.array(anyOpaque, { minLength: 1, maxLength: 4 }), anyOpaque, (held, other) => {
      const [now, ...was] = held.map((color) => writeHex(mapToGamut(color)))
      const palette = holding(now!, ...was)
      const find = leftoverFinder(palette)
      for (const text of [now!, ...was]) expect(find(colorOf(text)!)?.slot).toBe(brand)
      const left = find(other)
      if (!left) return
      const gap = difference(other, decisionColor(palette, boundTo(left)))
      expect(left.difference).toBeLessThanOrEqual(gap)
      expect(gap - left.difference).toBeLessThan(0.5)
    }),
  )
})
