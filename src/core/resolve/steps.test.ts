import { ternFrame } from '@demo/tern/frame'
import { colorOf, writeHex } from '../color'
import { generateThemes, paletteColors } from '../generate'
import { slotProperties } from '../render'
import { roleIds } from '../roles'
import { isBound, type Palette, type SlotId } from '../site'
import { decisionColor } from './decision'
import { failingRoles } from './theme-reading'

const brand = 'brand' as SlotId
const withSteps = (steps: Record<string, string>): Palette => ({
  ...ternFrame.palette,
  slots: { ...ternFrame.palette.slots, [brand]: { ...ternFrame.palette.slots[brand]!, steps } },
})
const hex = (palette: Palette, shade?: { lightness?: number; alpha?: number }) =>
  writeHex(decisionColor(palette, { slot: brand, ...(shade ? { shade } : {}) }))

test('a step with a colour of its own is that colour wherever it is used, and what shifts it shifts that', () => {
  const palette = withSteps({ '-8': '#aa3311' })
  expect(hex(palette, { lightness: -8 })).toBe('#aa3311')
  expect(hex(palette, { lightness: -8, alpha: -50 })).toBe('#aa331180')
  expect(hex(palette)).toBe(hex(ternFrame.palette))
  expect(hex(palette, { lightness: -9 })).toBe(hex(ternFrame.palette, { lightness: -9 }))
  const [, [, css]] = slotProperties(palette, brand, [{ lightness: -8 }]) as [
    unknown,
    [string, string],
  ]
  expect(colorOf(css)).toEqual(colorOf('#aa3311'))
})

test('themes are generated with the steps as they are: nothing fails, though a step is far from what is computed', () => {
  const all = Object.fromEntries(
    Array.from({ length: 20 }, (_, i) => [String((i + 1) * -5 || -5), '#f5f5f0']),
  )
  const palette = withSteps(all)
  expect(paletteColors(palette).find(({ id }) => id === brand)?.steps).toHaveProperty('-5')
  const themes = generateThemes({ palette, settings: { buttonForm: 'solid' } })
  expect(failingRoles(palette, themes)).toEqual([])
  const bound = themes.flatMap(({ roles }) => roleIds.map((role) => roles[role])).filter(isBound)
  expect(bound.length).toBeGreaterThan(0)
})
