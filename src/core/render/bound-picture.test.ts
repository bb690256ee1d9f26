import { demoSites } from '@demo/sites'
import type { Palette, SlotId } from '../site'
import {
  readSlotColors,
  slotColorsOf,
  slotsInVector,
  withSlotColors,
  writeSlotColors,
} from './bound-picture'

const { palette } = demoSites[0]!.frame as { palette: Palette }
const slots = ['brand', 'ink'] as SlotId[]

test('the slots of a picture are those that its text refers to, each once', () => {
  const svg = `<svg><path fill="var(--slot-ink, #111)" stroke="oklch(from var( --slot-brand, #222) l c h)"/>
    <style>a { fill: var(--slot-brand) } b { fill: var(--other) } /* --slot-spark */</style></svg>`
  expect(slotsInVector(svg)).toEqual(['brand', 'ink'])
  expect(slotsInVector('<svg/>')).toEqual([])
})

test('they come to what the palette holds; an empty one gives nothing', () => {
  const brand = palette.slots['brand' as SlotId]!
  const empty = { ...palette, slots: { ...palette.slots, brand: { ...brand, value: null } } }
  expect(slotColorsOf({ slots }, palette).map(([slot]) => slot)).toEqual(slots)
  expect(slotColorsOf({ slots }, palette)[0]![1].toLowerCase()).toBe(brand.value!.toLowerCase())
  expect(slotColorsOf({ slots }, empty as Palette).map(([slot]) => slot)).toEqual(['ink'])
  expect(slotColorsOf({}, palette)).toEqual([])
})

test('addresses carry them there and back; what is none is left out', () => {
  const colors = slotColorsOf({ slots }, palette)
  expect(readSlotColors(writeSlotColors(colors))).toEqual(colors)
  expect(
    readSlotColors('brand:1d5955,x,ink:zz,__proto__:ffffff,a</style>:ffffff,b:ffffff}'),
  ).toEqual([['brand', '#1d5955']])
})

test.each([
  ['<svg><path/></svg>', '<svg><style>:root { --slot-ink: #112233 }</style><path/></svg>'],
  [
    '<?xml version="1.0"?><!-- <svgx> --><svg aria-label="a > b" viewBox=\'0 0 1 1\'>x</svg>',
    '<?xml version="1.0"?><!-- <svgx> --><svg aria-label="a > b" viewBox=\'0 0 1 1\'><style>:root { --slot-ink: #112233 }</style>x</svg>',
  ],
  ['<svg/>', '<svg/>'],
  ['no picture', 'no picture'],
])('%s is given them at its beginning', (svg, wanted) => {
  expect(withSlotColors(svg, [['ink', '#112233']])).toBe(wanted)
  expect(withSlotColors(svg, [])).toBe(svg)
})
