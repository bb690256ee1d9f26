import { demoSites } from '@demo/sites'
import { colorOf, difference } from '../color'
import { assignNamed, readList } from '../palette'
import { slotColor } from '../resolve'
import { slotsInOrder, type Palette } from '../site'
import { readCssProperties, writeCssProperties } from './css-properties'
import { readPalette } from './read-palette'
import { readTokens, writeTokens } from './tokens'

const { palette, themes } = demoSites[0]!.frame
const slots = (of: Palette) =>
  slotsInOrder(of).map(({ id, name, value }) => ({
    ...{ id, name, isEmpty: value === null, color: slotColor(of, id) },
  }))

test.each([
  ['CSS', writeCssProperties(palette)],
  ['tokens', writeTokens(palette, themes, 'object')],
  ['tokens as text', writeTokens(palette, themes, 'string')],
])('what the site itself wrote as %s goes back to the very slots, and adds none', (_, text) => {
  const { colors } = readPalette(text)
  const given = assignNamed(slots(palette), colors)
  expect(given.map((index) => colors[index]?.value)).toEqual(
    slotsInOrder(palette).map(({ value }) => value!.toLowerCase()),
  )
  expect(colors).toHaveLength(slotsInOrder(palette).length)
})

test('a slot that was renamed is written under its new name, the former one follows it', () => {
  const spark = palette.order.find((id) => id === 'spark')!
  const renamed = {
    ...palette,
    slots: { ...palette.slots, [spark]: { ...palette.slots[spark]!, name: 'Hot coral' } },
  }
  const css = writeCssProperties(renamed)
  expect(css).toContain('--slot-hot-coral: #d65a2a;')
  expect(css).toContain('--slot-spark: var(--slot-hot-coral);')
  const { colors } = readCssProperties(css)
  expect(colors.map(({ name }) => name)).toContain('Hot coral')
  expect(colors).toHaveLength(slotsInOrder(palette).length)
})

test('components and hex of a wide-gamut slot say the same colour', () => {
  const [first] = palette.order
  const wide = {
    ...palette,
    slots: {
      ...palette.slots,
      [first!]: { ...palette.slots[first!]!, value: 'color(display-p3 1 0 0)' },
    },
  }
  const file = JSON.parse(writeTokens(wide, themes, 'object')) as {
    palette: Record<string, { $value: { components: number[]; hex: string } }>
  }
  const { components, hex } = file.palette[palette.slots[first!]!.name]!.$value
  const told = colorOf(`color(srgb ${components.join(' ')})`)!
  expect(difference(told, colorOf(hex)!)).toBeLessThan(0.5)
})

test('a colour of a space that is not known has its fallback', () => {
  const token = { colorSpace: 'okhsl', components: [1, 2, 3], alpha: 0.5, hex: '#336699' }
  const file = JSON.stringify({ a: { $type: 'color', $value: token } })
  expect(readTokens(file).colors).toMatchObject([{ value: '#33669980' }])
  const without = JSON.stringify({ a: { $type: 'color', $value: { ...token, hex: undefined } } })
  expect(readTokens(without).problems).toMatchObject([{ code: 'not-a-color' }])
})

test('a slot called “100” comes back under that name', () => {
  const [first] = palette.order
  const named = {
    ...palette,
    slots: { ...palette.slots, [first!]: { ...palette.slots[first!]!, name: '100' } },
  }
  const read = readTokens(writeTokens(named, themes, 'object')).colors
  // JSON objects put whole numbers first, wherever they were written.
  const last = palette.order.at(-1)!
  const moved = { ...named, order: [...palette.order.slice(1), first!] }
  const again = readTokens(writeTokens(moved, themes, 'string')).colors
  expect(read[0]).toMatchObject({ name: '100' })
  expect(read[0]).not.toHaveProperty('extensions')
  expect(again.map(({ name }) => name).slice(-2)).toEqual([palette.slots[last]!.name, '100'])
})

test.each(['tel 123456', 'Call us: 020 123456', 'Invoice no 445566', 'Order 11223344'])(
  'a number beside words is no colour: %s',
  (text) => expect(readList(text)).toEqual([]),
)

test.each([
  ['123456', ['#123456']],
  ['Brand 334455\nAccent d65a2a', ['#334455', '#d65a2a']],
  ['334455 667788', ['#334455', '#667788']],
])('digits alone are a code where nothing else is meant: %s', (text, values) => {
  expect(readList(text).map(({ value }) => value)).toEqual(values)
})
