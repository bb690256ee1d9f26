import * as culori from 'culori'
import fc from 'fast-check'
import { toBytes, type Color } from './color'
import { parseColor } from './parse'

/** The reference: culori 4, which reads CSS Color 4 by its own code. */
function reference(text: string): Color {
  const color = culori.rgb(text)!
  return { r: color.r, g: color.g, b: color.b, alpha: color.alpha ?? 1 }
}

function read(text: string): Color {
  const parsed = parseColor(text)
  if (!parsed.ok) throw new Error(`${text}: ${parsed.problem}`)
  return parsed.color
}

function expectNear(text: string): void {
  const [ours, theirs] = [read(text), reference(text)]
  const gap = Math.max(
    ...(['r', 'g', 'b', 'alpha'] as const).map((key) => Math.abs(ours[key] - theirs[key])),
  )
  expect({ text, near: gap < 5e-5 }).toEqual({ text, near: true })
}

/** Evenly spread, which `fc.double` is not. */
const num = (min: number, max: number) =>
  fc.integer({ min: min * 1000, max: max * 1000 }).map((n) => n / 1000)

/** Every function notation of CSS Color 4, with values inside its range. */
const notations: Readonly<Record<string, fc.Arbitrary<string>>> = {
  rgb: fc.tuple(num(0, 255), num(0, 255), num(0, 255)).map(([r, g, b]) => `rgb(${r} ${g} ${b})`),
  rgba: fc
    .tuple(fc.nat(255), fc.nat(255), fc.nat(255), num(0, 1))
    .map(([r, g, b, a]) => `rgba(${r}, ${g}, ${b}, ${a})`),
  hsl: fc.tuple(num(0, 360), num(0, 100), num(0, 100)).map(([h, s, l]) => `hsl(${h} ${s}% ${l}%)`),
  hwb: fc.tuple(num(0, 360), num(0, 60), num(0, 40)).map(([h, w, b]) => `hwb(${h} ${w}% ${b}%)`),
  lab: fc.tuple(num(1, 99), num(-80, 80), num(-80, 80)).map(([l, a, b]) => `lab(${l} ${a} ${b})`),
  lch: fc.tuple(num(1, 99), num(0, 90), num(0, 360)).map(([l, c, h]) => `lch(${l} ${c} ${h})`),
  oklab: fc
    .tuple(num(0.05, 1), num(-0.2, 0.2), num(-0.2, 0.2))
    .map(([l, a, b]) => `oklab(${l} ${a} ${b})`),
  oklch: fc
    .tuple(num(0.05, 1), num(0, 0.25), num(0, 360))
    .map(([l, c, h]) => `oklch(${l} ${c} ${h})`),
  ...Object.fromEntries(
    [
      'srgb',
      'srgb-linear',
      'display-p3',
      'a98-rgb',
      'prophoto-rgb',
      'rec2020',
      'xyz-d50',
      'xyz-d65',
    ].map((space) => [
      `color(${space})`,
      fc
        .tuple(num(0, 1), num(0, 1), num(0, 1))
        .map(([r, g, b]) => `color(${space} ${r} ${g} ${b})`),
    ]),
  ),
}

describe('against culori', () => {
  test.each(Object.keys(notations))('%s', (name) => {
    fc.assert(
      fc.property(notations[name]!, (text) => expectNear(text)),
      { numRuns: 200 },
    )
  })

  test('every name of CSS Color 4', () => {
    const names = Object.keys(culori.colorsNamed)
    expect(names.length).toBe(148)
    for (const name of names) expectNear(name)
  })

  test('hex with 3, 4, 6 and 8 digits', () => {
    const digit = fc.constantFrom(...'0123456789abcdefABCDEF')
    const hex = fc
      .constantFrom(3, 4, 6, 8)
      .chain((length) => fc.array(digit, { minLength: length, maxLength: length }))
      .map((digits) => `#${digits.join('')}`)
    fc.assert(
      fc.property(hex, (text) => expectNear(text)),
      { numRuns: 500 },
    )
  })
})

describe('CSS Color 4, published examples', () => {
  // §7 and §8: hsl(120deg 100% 50%) is lime; §8.1: hwb(45 40% 80%) is rgb(33.33% 33.33% 33.33%).
  // §9.4: oklch(51.975% 0.17686 142.495) is the green of the examples, rgb(0 128 0).
  test.each([
    ['hsl(120deg 100% 50%)', [0, 255, 0]],
    ['hwb(45 40% 80%)', [85, 85, 85]],
    ['oklch(51.975% 0.17686 142.495)', [0, 128, 0]],
    ['lab(46.2775% -47.5621 48.5837)', [0, 128, 0]],
  ])('%s', (text, bytes) => {
    expect(toBytes(read(text))).toEqual(bytes)
  })
})

describe('what people paste', () => {
  test.each(['1d5955', ' #1D5955 ', '#1d5955ff', 'RGB(29, 89, 85)', 'rgb(29 89 85 / 100%)'])(
    '%s is one colour',
    (text) => expect(toBytes(read(text))).toEqual([29, 89, 85]),
  )

  test.each([
    ['', 'empty'],
    ['   ', 'empty'],
    ['#12345', 'hex-length'],
    ['#1d59555', 'hex-length'],
    ['#', 'hex-length'],
    ['#GGG', 'hex-digit'],
    ['rgb(300)', 'not-a-color'],
    ['bluish', 'not-a-color'],
    ['currentColor', 'not-a-color'],
    ['var(--slot-brand)', 'not-a-color'],
    ['url(#1d5955)', 'not-a-color'],
    ['<b>red</b>', 'not-a-color'],
    ['red; } body { display: none', 'not-a-color'],
    ['#fff'.repeat(3000), 'too-long'],
  ])('%s', (text, problem) => {
    const parsed = parseColor(text)
    expect(parsed).toEqual({ ok: false, problem })
  })

  test('relative colours and color-mix() of CSS Color 5', () => {
    expect(toBytes(read('rgb(from teal r g 200)'))).toEqual([0, 128, 200])
    expect(toBytes(read('color-mix(in srgb, white, black)'))).toEqual([128, 128, 128])
  })
})
