import { ternFrame } from '@demo/tern/frame'
import { fanOf } from '@/core/palette'
import type { SlotId } from '@/core/site'
import { decisionHex, distinctFan } from './look'

const withValue = (value: string) => {
  const { palette } = ternFrame
  const brand = 'brand' as SlotId
  const slots = { ...palette.slots, [brand]: { ...palette.slots[brand]!, value } }
  return { palette: { ...palette, slots }, brand }
}

test('steps of a fan that look alike are one; the slot itself stays among them', () => {
  const { palette, brand } = withValue('#fefefe')
  const fan = distinctFan(palette, brand)
  const hexes = fan.map((each) => decisionHex(palette, each))
  expect(fan.length).toBeLessThan(fanOf(palette, brand).length)
  expect(fan).toContainEqual({ slot: brand })
  expect(new Set(hexes).size).toBe(hexes.length)
})

test('a fan of which every step is another stays whole', () => {
  const { palette, brand } = withValue('#7a5c3e')
  expect(distinctFan(palette, brand)).toEqual(fanOf(palette, brand))
})
