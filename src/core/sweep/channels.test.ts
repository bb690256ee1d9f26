import fc from 'fast-check'
import { demoSites } from '@demo/sites'
import { applyChanges } from '../changes'
import { colorKey, colorOf, fromBytes, writeHex } from '../color'
import type { ColorDecision, Frame, SlotId } from '../site'
import { usesInFrame } from '../uses'
import { changesOfHits, planSweep } from './plan'

const [tern] = demoSites

function swept(customCss: string, from: string, to: ColorDecision): string {
  const frame: Frame = { ...tern!.frame, customCss }
  const uses = usesInFrame(frame).filter(({ place }) => place === 'custom-css')
  const hits = planSweep(frame.palette, uses, {
    pairs: [{ from: { value: from, within: 0 }, to }],
    scope: 'site',
  })
  return applyChanges(
    frame,
    changesOfHits(hits, () => frame),
  )!.customCss
}

const byte = fc.integer({ min: 0, max: 255 })
const bytes = fc.tuple(byte, byte, byte)
const around = fc.constantFrom<[string, string]>([', ', ', '], [',', ','], [' ', ' '], ['  ', ' '])

test('numbers that a property holds become those of the other colour, between what stood between them', () => {
  fc.assert(
    fc.property(bytes, bytes, around, ([r, g, b], other, [one, two]) => {
      const css = (numbers: string) => `:root { --a: ${numbers} }\nb { color: rgba(var(--a), .5) }`
      const from = writeHex(fromBytes([r, g, b]))
      const to = { value: writeHex(fromBytes(other)) }
      const after = swept(css(`${r}${one}${g}${two}${b}`), from, to)
      const [x, y, z] = other
      const isSame = from === to.value
      expect(after).toBe(isSame ? css(`${r}${one}${g}${two}${b}`) : css(`${x}${one}${y}${two}${z}`))
    }),
  )
})

test.each([
  ['hsl', '174.2 52.5% 23.1%', /^[\d.]+ [\d.]+% [\d.]+%$/],
  ['hsl', '174.2, 52.5%, 23.1%', /^[\d.]+, [\d.]+%, [\d.]+%$/],
  ['oklch', '0.4297 0.0628 186', /^[\d.]+ [\d.]+ [\d.]+$/],
  ['lab', '34 -22 -3', /^-?[\d.]+ -?[\d.]+ -?[\d.]+$/],
])('%s(%s) stays in its notation', (taker, numbers, like) => {
  const css = (of: string) => `:root{--a:${of}}b{color:${taker}(var(--a) / 1)}`
  const from = writeHex(colorOf(`${taker}(${numbers})`)!)
  const after = swept(css(numbers), from, { value: '#6b2d5c' })
  const written = /--a:([^}]*)}/.exec(after)![1]!
  expect(written).toMatch(like)
  expect(after).toBe(css(written))
  expect(colorKey(colorOf(`${taker}(${written})`)!).slice(0, 6)).toBe('6b2d5c')
})

test('a slot gives the numbers that it holds: no reference can stand there; transparency is for what takes them', () => {
  const css = ':root{--a:28, 90, 84}b{color:rgba(var(--a),.2)}'
  const slot = 'spark' as SlotId
  const held = tern!.frame.palette.slots[slot]!.value!
  const { r, g, b } = Object.fromEntries(
    ['r', 'g', 'b'].map((key, i) => [key, Number.parseInt(held.slice(1 + 2 * i, 3 + 2 * i), 16)]),
  )
  expect(swept(css, '#1c5a54', { slot })).toBe(css.replace('28, 90, 84', `${r}, ${g}, ${b}`))
  expect(swept(css, '#1c5a54', { value: '#6b2d5c80' })).toBe(
    css.replace('28, 90, 84', '107, 45, 92'),
  )
})
