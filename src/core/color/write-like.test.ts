import * as culori from 'culori'
import fc from 'fast-check'
import { colorKey, type Color } from './color'
import { colorOf, parseColor } from './parse'
import { anyColor, anyWritten } from './random-color.fixture'
import { writeLike } from './write-like'

const moss = '#1d5955'

describe('a colour in the notation of another', () => {
  test.each([
    ['#FFF', '#1D5955'],
    ['#ABCDEF', '#1D5955'],
    ['#abcdef', '#1d5955'],
    ['#123456', '#1d5955'],
    ['#12345678', '#1d5955ff'],
    ['teal', '#1d5955'],
    ['rgb(1, 2, 3)', 'rgb(29, 89, 85)'],
    ['rgb( 1,2 ,3 )', 'rgb( 29,89 ,85 )'],
    ['RGB(1 2 3)', 'RGB(29 89 85)'],
    ['rgb(1 2 3 / 50%)', 'rgb(29 89 85 / 100%)'],
    ['rgba(1,2,3,.4)', 'rgba(29,89,85,1)'],
    ['rgb(1%, 2%, 3%)', 'rgb(11.4%, 34.9%, 33.3%)'],
    ['rgb(/* red */ 1 2 3)', 'rgb(/* red */ 29 89 85)'],
    ['rgb(calc(1 + 1), 2, 3)', 'rgb(29, 89, 85)'],
    ['hsl(1, 2%, 3%)', 'hsl(176, 51%, 23%)'],
    ['HSLA(1DEG, 2%, 3%, 1)', 'HSLA(176deg, 51%, 23%, 1)'],
    ['hsl(.1turn 2% 3%)', 'hsl(.49turn 51% 23%)'],
    ['hsl(1 2 3)', 'hsl(176 51 23)'],
    ['hwb(none 2% 3%)', 'hwb(176 11.4% 65.1%)'],
  ])('in place of %s: %s', (stood, written) => {
    expect(writeLike(stood, colorOf(moss)!)).toBe(written)
    expect(colorKey(colorOf(written)!)).toBe('1d5955ff')
  })

  test.each([
    ['#fff', '#000', '#000'],
    ['#FFF', '#aabbcc', '#ABC'],
    ['#fff', 'rgb(0 0 0 / 40%)', '#0006'],
    ['#ffff', '#000', '#000f'],
    ['red', 'teal', 'teal'],
    ['RED', 'teal', 'TEAL'],
    ['rgba(0,0,0,.3)', 'rgb(255 255 255 / 30%)', 'rgba(255,255,255,.3)'],
    ['rgb(0, 0, 0)', 'rgb(255 255 255 / 30%)', 'rgba(255, 255, 255, 0.3)'],
    ['rgb(0 0 0)', 'rgb(255 255 255 / 30%)', 'rgb(255 255 255 / 0.3)'],
    ['rgb(0 0 0 / 40%)', 'rgb(255 255 255 / 30%)', 'rgb(255 255 255 / 30%)'],
    ['color-mix(in srgb, red, blue)', 'teal', '#008080'],
    ['rgb(from red r g b)', 'teal', '#008080'],
    ['nonsense', 'teal', '#008080'],
    ['rgb(0 0 0)', 'color(display-p3 0 1 0)', 'rgb(0 251 41)'],
  ])('in place of %s, %s is %s', (stood, color, written) => {
    expect(writeLike(stood, colorOf(color)!)).toBe(written)
  })

  /** Every function and form; the first number of each is one that no colour of the test has. */
  const forms = [
    'rgb(1 2 3)',
    'rgba(1, 2, 3, .4)',
    'rgb(1.5% 2% 3% / 40%)',
    'hsl(1 2% 3%)',
    'hsla(1, 2%, 3%, 0.4)',
    'hsl(1rad 2% 3% / .4)',
    'hsl(100grad 2% 3%)',
    'hwb(1 2% 3%)',
    'lab(30 20 10)',
    'lab(30% 20% 10% / 0.5)',
    'lch(30% 20 10deg)',
    'oklab(0.4 0.1 0.02)',
    'oklab(40% 10% -20%)',
    'oklch(0.4 0.1 20)',
    'oklch(40% 20% 0.1turn)',
    'color(srgb 0.1 0.2 0.3)',
    'color(srgb-linear 10% 20% 30%)',
    'color(display-p3 0.1 0.2 0.3 / 0.5)',
    'color(a98-rgb 0.1 0.2 0.3)',
    'color(prophoto-rgb 0.1 0.2 0.3)',
    'color(rec2020 0.1 0.2 0.3)',
    'color(xyz 0.1 0.2 0.3)',
    'color(xyz-d50 0.1 0.2 0.3)',
  ]
  const skeleton = (text: string) => text.replaceAll(/-?\d*\.?\d+/g, '0')

  test.each(forms)('%s: only its numbers are other, and it is read as the colour', (stood) => {
    const { notation } = parseColor(stood) as { notation: string }
    const canBeClear = parseColor(stood).ok && colorOf(stood)!.alpha < 1
    const any = fc.oneof(anyColor, anyWritten)
    fc.assert(
      fc.property(any, (color) => {
        const goal = canBeClear ? color : { ...color, alpha: 1 }
        const text = writeLike(stood, goal)
        expect(skeleton(text)).toBe(skeleton(stood))
        expect(parseColor(text)).toMatchObject({ ok: true, notation })
      }),
    )
    fc.assert(
      fc.property(anyColor, (color) => {
        const goal = canBeClear ? color : { ...color, alpha: 1 }
        expect(colorKey(colorOf(writeLike(stood, goal))!)).toBe(colorKey(goal))
      }),
    )
  })

  test('what is written is read by another library as the same colour (culori 4)', () => {
    const known = forms.filter((form) => culori.parse(form))
    expect(known.length).toBeGreaterThan(15)
    fc.assert(
      fc.property(anyColor, fc.constantFrom(...known), (color, stood) => {
        const opaque: Color = { ...color, alpha: 1 }
        const { r, g, b } = culori.rgb(culori.parse(writeLike(stood, opaque))!)
        const read = { r, g, b, alpha: 1 }
        expect(colorKey(read)).toBe(colorKey(opaque))
      }),
    )
  })

  test('there and back is the same text, wherever numbers are no longer than they need be', () => {
    const plain = ['#123456', '#ABCDEF', 'rgb(1, 2, 3)', 'rgba(1,2,3,.5)', 'rgb(1 2 3 / 50%)']
    fc.assert(
      fc.property(anyColor, fc.constantFrom(...plain), (color, stood) => {
        const { alpha } = colorOf(stood)!
        const there = writeLike(stood, { ...color, alpha })
        expect(writeLike(there, colorOf(stood)!)).toBe(
          /[A-F]/.test(stood) && !/[A-Fa-f]/.test(there.slice(1)) ? stood.toLowerCase() : stood,
        )
      }),
    )
  })
})
