import { readFileSync } from 'node:fs'
import path from 'node:path'
import fc from 'fast-check'
import { colorOf, difference, luminance, sameHue, toOklch, writeHex } from '../color'
import { anyColor } from '../color/random-color.fixture'
import { ternFrame } from '@demo/tern/frame'
import { paletteFaults } from './faults'
import { colorNamer } from './names'
import { findReadyMade, hueFamilies, hueFamilyOf, moods, readyMade, type Mood } from './ready-made'
import { fanOf, greyed } from './shades'

const colorsOf = (hexes: readonly string[]) => hexes.map((hex) => colorOf(hex)!)

describe('ready-made palettes', () => {
  test('are at least 24, each with its own name and colours', () => {
    expect(readyMade.length).toBeGreaterThanOrEqual(24)
    expect(new Set(readyMade.map(({ name }) => name)).size).toBe(readyMade.length)
    expect(new Set(readyMade.map(({ colors }) => colors.join())).size).toBe(readyMade.length)
  })

  test.each(readyMade.map(({ name, colors }) => [name, colors] as const))(
    '%s passes our own checks',
    (_, colors) => expect(paletteFaults(colorsOf(colors))).toEqual([]),
  )

  test('are found by mood and by hue; every one of both finds some', () => {
    for (const mood of Object.keys(moods) as Mood[]) {
      const found = findReadyMade(mood)
      expect(found.length).toBeGreaterThan(2)
      expect(found.every((each) => each.moods.includes(mood))).toBe(true)
    }
    const byHue = hueFamilies.map((hue) => findReadyMade(undefined, hue).length)
    expect(byHue.reduce((a, b) => a + b)).toBe(readyMade.length)
    expect(byHue.every((count) => count > 0)).toBe(true)
  })

  test('the family of a hue, on primary colours', () => {
    const family = (text: string) => hueFamilyOf([colorOf('#888')!, colorOf(text)!])
    expect(
      ['red', 'orange', 'yellow', 'lime', 'teal', 'blue', 'purple', 'deeppink'].map(family),
    ).toEqual(['red', 'orange', 'yellow', 'green', 'teal', 'blue', 'violet', 'pink'])
  })
})

describe('faults of a palette', () => {
  test.each([
    ['one colour', ['#d65a2a'], ['no-light', 'no-dark', 'text-unread', 'accent-unread']],
    ['greys', ['#ffffff', '#888888', '#111111'], ['no-accent']],
    ['two alike', ['#ffffff', '#fefefe', '#d65a2a', '#111111'], ['alike']],
    ['out of order', ['#111111', '#d65a2a', '#ffffff'], ['not-in-order']],
  ])('%s', (_, colors, faults) => {
    expect(paletteFaults(colorsOf(colors))).toEqual(expect.arrayContaining(faults))
  })
})

const listFile = path.join(
  path.dirname(require.resolve('color-name-list/package.json')),
  'dist/colornames.bestof.json',
)
const colornames = JSON.parse(readFileSync(listFile, 'utf8')) as Array<{
  hex: string
  name: string
}>

describe('names', () => {
  const namer = colorNamer(
    Object.fromEntries(colornames.map(({ hex, name }) => [hex.replace('#', ''), name])),
  )

  test('a colour of the list gets its own name', () => {
    for (const { hex, name } of colornames.slice(0, 4900).filter((_, i) => i % 97 === 0)) {
      expect(namer(colorOf(hex)!)).toBe(name)
    }
  })

  test('any colour gets the name that comparing with the whole list gives', () => {
    const all = colornames.map(({ hex, name }) => ({ name, color: colorOf(hex)! }))
    fc.assert(
      fc.property(anyColor, (color) => {
        const opaque = { ...color, alpha: 1 }
        const least = Math.min(...all.map((each) => difference(each.color, opaque)))
        const name = namer(opaque)
        const given = all.find((each) => each.name === name)!
        // The nearest in OKLab may leave out one that CIEDE2000 puts a little nearer.
        expect(difference(given.color, opaque)).toBeLessThan(least + 1)
      }),
      { numRuns: 40 },
    )
  })

  test('no name twice', () => {
    const taken: string[] = []
    for (let i = 0; i < 20; i += 1) taken.push(namer(colorOf('#1d5955')!, taken))
    expect(new Set(taken.map((name) => name.toLowerCase())).size).toBe(20)
  })
})

describe('shades of a slot', () => {
  const palette = {
    ...ternFrame.palette,
    shades: { lighter: 3, darker: 1, step: 5 },
  }
  const brand = 'brand' as (typeof palette.order)[number]

  test('fan out by the palette’s scale, or by the slot’s own', () => {
    expect(fanOf(palette, brand)).toEqual([
      { slot: 'brand', shade: { lightness: 15 } },
      { slot: 'brand', shade: { lightness: 10 } },
      { slot: 'brand', shade: { lightness: 5 } },
      { slot: 'brand' },
      { slot: 'brand', shade: { lightness: -5 } },
    ])
    const own = { ...palette.slots[brand]!, shades: { lighter: 0, darker: 1, step: 20 } }
    expect(fanOf({ ...palette, slots: { ...palette.slots, [brand]: own } }, brand)).toHaveLength(2)
  })

  test('darker of the same hue keeps hue and chroma where sRGB holds them', () => {
    const color = colorOf('#1d5955')!
    const darker = sameHue(color, -4)
    expect(toOklch(darker).h).toBeCloseTo(toOklch(color).h, 0)
    expect(toOklch(color).l - toOklch(darker).l).toBeCloseTo(0.04, 2)
    expect(writeHex(sameHue(color, 200))).toBe('#ffffff')
  })

  test('greyed keeps the lightness', () => {
    const grey = greyed(colorOf('#d65a2a')!)
    expect(toOklch(grey).c).toBe(0)
    expect(Math.abs(luminance(grey) - luminance(colorOf('#d65a2a')!))).toBeLessThan(0.06)
  })
})
