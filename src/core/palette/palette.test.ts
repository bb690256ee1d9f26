import fc from 'fast-check'
import { colorOf, contrast, fromOklch, luminance, toOklch, writeHex, type Color } from '../color'
import type { SlotId } from '../site'
import { assignColors } from './assign'
import { harmonies, harmonyPalette, type HarmonyId } from './harmony'
import { isInOrder, orderByLuminance } from './order'
import { mostCandidates } from '../site'
import { readList } from './read-list'

const of = (text: string) => colorOf(text)!
const byte = fc.nat(255)
const anyColor = fc
  .tuple(byte, byte, byte)
  .map(([r, g, b]): Color => ({ r: r / 255, g: g / 255, b: b / 255, alpha: 1 }))

describe('order', () => {
  const held = (...texts: Array<string | undefined>) =>
    texts.map((text, i) => ({ id: `s-${i}` as SlotId, ...(text ? { color: of(text) } : {}) }))

  test('from lightest to darkest by luminance (common practice, no source); empty slots last', () => {
    expect(orderByLuminance(held('#17211f', undefined, '#f7f2e7', '#d65a2a', '#1d5955'))).toEqual([
      's-2',
      's-3',
      's-4',
      's-0',
      's-1',
    ])
    expect(isInOrder(held('#fff', '#888', '#000', undefined))).toBe(true)
    expect(isInOrder(held('#888', '#fff'))).toBe(false)
  })

  test('any palette, once ordered, is in order', () => {
    fc.assert(
      fc.property(fc.array(anyColor, { maxLength: 64 }), (colors) => {
        const slots = colors.map((color, i) => ({ id: `s-${i}` as SlotId, color }))
        const sorted = orderByLuminance(slots).map((id) => slots.find((slot) => slot.id === id)!)
        expect(isInOrder(sorted)).toBe(true)
        const lights = sorted.map(({ color }) => luminance(color))
        expect(lights).toEqual([...lights].sort((a, b) => b - a))
      }),
    )
  })
})

describe('harmonies', () => {
  const hueGap = (a: number, b: number) => Math.abs(((a - b + 540) % 360) - 180)
  /** A base that leaves room on every side, so that gamut mapping hardly turns the hue. */
  const bases = [20, 80, 140, 200, 260, 320].map((h) => fromOklch({ l: 0.6, c: 0.07, h, alpha: 1 }))

  test.each(Object.keys(harmonies) as HarmonyId[])(
    '%s keeps to its hues on the OKLCH circle',
    (id) => {
      for (const base of bases) {
        for (const color of harmonyPalette(base, id, 7)) {
          const { c, h } = toOklch(color)
          if (id === 'grey') expect(c).toBeLessThan(0.001)
          if (c < 0.02) continue
          const gaps = harmonies[id].hues.map((hue) => hueGap(h, toOklch(base).h + hue))
          expect(Math.min(...gaps)).toBeLessThan(4)
        }
      }
    },
  )

  test('steps of lightness are even, from near-white to near-black, the base among them', () => {
    fc.assert(
      fc.property(anyColor, fc.integer({ min: 3, max: 16 }), (base, count) => {
        const palette = harmonyPalette(base, 'single', count)
        expect(palette).toHaveLength(count)
        expect(palette.map(writeHex)).toContain(writeHex(base))
        expect(contrast(palette[0]!, palette.at(-1)!)).toBeGreaterThan(7)
        const steps = palette.map((color) => toOklch(color).l)
        const even = (steps.at(-1)! - steps[0]!) / (count - 1)
        const inner = steps.filter((_, i) => writeHex(palette[i]!) !== writeHex(base))
        for (const l of inner) {
          const place = (l - steps[0]!) / even
          expect(Math.abs(place - Math.round(place))).toBeLessThan(0.12 * Math.max(1, count / 8))
        }
      }),
    )
  })
})

describe('a pasted list', () => {
  test.each([
    [
      'names before and after',
      'Moss: #334d33\n#F7F2E7 paper white\nRust = rgb(180 80 40)',
      [
        ['Moss', '#334d33'],
        ['Paper white', '#f7f2e7'],
        ['Rust', '#b45028'],
      ],
    ],
    [
      'CSS',
      ':root { --color-brand: #1d5955;\n --slot-soft-grey: hsl(0 0% 80%); }',
      [
        ['Brand', '#1d5955'],
        ['Soft grey', '#cccccc'],
      ],
    ],
    [
      'JSON',
      '{ "ink": "#17211f",\n "paper": "#fff" }',
      [
        ['Ink', '#17211f'],
        ['Paper', '#ffffff'],
      ],
    ],
    [
      'codes without #',
      '1d5955, D65A2A; 17211F',
      [
        [undefined, '#1d5955'],
        [undefined, '#d65a2a'],
        [undefined, '#17211f'],
      ],
    ],
    [
      'a name by itself',
      'teal\r\nrebeccapurple',
      [
        [undefined, '#008080'],
        [undefined, '#663399'],
      ],
    ],
    ['the same colour twice', '#FFF white\n#ffffff again', [['White', '#ffffff']]],
  ])('%s', (_told, text, expected) => {
    expect(readList(text).map(({ name, value }) => [name, value])).toEqual(expected)
  })

  test('what holds no colour gives none, and words are not taken for colours', () => {
    for (const text of [
      '',
      '   ',
      'We like red and a little tan.',
      '#12345 #GGG',
      'decade facade 123',
      'order 4711234x',
    ]) {
      expect(readList(text)).toEqual([])
    }
  })

  test('a file of 10,000 entries gives what can be used, quickly', () => {
    const lines = Array.from(
      { length: 10_000 },
      (_, i) => `c${i} #${i.toString(16).padStart(6, '0')}`,
    )
    expect(readList(lines.join('\n'))).toHaveLength(mostCandidates)
  })
})

const held = (colors: readonly Color[]) => colors.map((color) => ({ color }))

describe('assigning colours to slots', () => {
  test('a shuffled palette finds its slots again', () => {
    const slots = ['#f7f2e7', '#dce5e0', '#1d5955', '#d65a2a', '#5c6866', '#17211f'].map(of)
    const order = [3, 5, 0, 2, 4, 1]
    const found = assignColors(
      held(slots),
      order.map((i) => slots[i]!),
    )
    expect(found.map((index) => order[index])).toEqual([0, 1, 2, 3, 4, 5])
  })

  test('no colour is given twice, and none to a slot of quite another lightness', () => {
    fc.assert(
      fc.property(
        fc.array(anyColor, { minLength: 1, maxLength: 12 }),
        fc.array(anyColor, { minLength: 1, maxLength: 12 }),
        (slots, colors) => {
          const given = assignColors(held(slots), colors).filter((index) => index >= 0)
          expect(new Set(given).size).toBe(given.length)
          assignColors(held(slots), colors).forEach((index, i) => {
            if (index === -1) return
            expect(Math.abs(toOklch(slots[i]!).l - toOklch(colors[index]!).l)).toBeLessThan(0.26)
          })
        },
      ),
    )
  })

  test('near-white stays near-white, near-black near-black', () => {
    const found = assignColors(
      held(['#ffffff', '#777777', '#111111'].map(of)),
      ['#101820', '#fdf6e3', '#2a6f97'].map(of),
    )
    expect(found).toEqual([1, 2, 0])
  })
})

test('a near-black slot keeps its colour where a picture holds none', () => {
  const found = assignColors(held(['#ffffff', '#17211f'].map(of)), ['#f7f2e7', '#a39a89'].map(of))
  expect(found).toEqual([0, -1])
})
