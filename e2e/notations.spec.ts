import { expect, test } from '@playwright/test'
import fc from 'fast-check'
import { parseColor, toBytes, type Color } from '@/core/color'

/** Evenly spread, which `fc.double` is not. */
const n = (min: number, max: number) =>
  fc.integer({ min: min * 100, max: max * 100 }).map((v) => v / 100)

const anyText = fc.oneof(
  fc
    .tuple(n(-50, 300), n(-50, 300), n(-50, 300), n(0, 1))
    .map(([r, g, b, a]) => `rgb(${r} ${g} ${b} / ${a})`),
  fc.tuple(n(-400, 800), n(0, 120), n(0, 100)).map(([h, s, l]) => `hsl(${h}deg ${s}% ${l}%)`),
  fc.tuple(n(0, 1), n(0, 100), n(0, 100)).map(([t, w, b]) => `hwb(${t}turn ${w}% ${b}%)`),
  fc.tuple(n(0, 100), n(-125, 125), n(-125, 125)).map(([l, a, b]) => `lab(${l}% ${a} ${b})`),
  fc.tuple(n(0, 100), n(0, 150), n(0, 360)).map(([l, c, h]) => `lch(${l} ${c} ${h})`),
  fc.tuple(n(0, 1), n(0, 0.4), n(0, 360)).map(([l, c, h]) => `oklch(${l} ${c} ${h})`),
  fc
    .tuple(
      fc.constantFrom(
        'srgb',
        'srgb-linear',
        'display-p3',
        'a98-rgb',
        'prophoto-rgb',
        'rec2020',
        'xyz',
        'xyz-d50',
      ),
      n(0, 1),
      n(0, 1),
      n(0, 1),
    )
    .map(([space, r, g, b]) => `color(${space} ${r} ${g} ${b})`),
)

const within = ({ r, g, b }: Color) => [r, g, b].every((c) => c > 0.004 && c < 0.996)

test('colours are read as Chromium reads them', async ({ page }) => {
  const texts = fc.sample(anyText, { numRuns: 1500, seed: 20261124 })
  const painted = await page.evaluate((list) => {
    const canvas = new OffscreenCanvas(1, 1).getContext('2d')!
    return list.map((text) => {
      if (!CSS.supports('color', text)) return null
      canvas.clearRect(0, 0, 1, 1)
      canvas.fillStyle = '#000'
      canvas.fillStyle = text.replace(/ \/ [\d.]+\)/, ')')
      canvas.fillRect(0, 0, 1, 1)
      return [...canvas.getImageData(0, 0, 1, 1).data].slice(0, 3)
    })
  }, texts)
  let compared = 0
  const wrong: string[] = []
  texts.forEach((text, i) => {
    const parsed = parseColor(text)
    if (parsed.ok !== (painted[i] !== null)) wrong.push(`${text}: read ${parsed.ok}`)
    // Outside sRGB Chromium clips what it paints and we map; that is another check's matter.
    if (!parsed.ok || !painted[i] || !within(parsed.color)) return
    compared += 1
    const off = toBytes(parsed.color).map((byte, c) => Math.abs(byte - painted[i]![c]!))
    if (Math.max(...off) > 1)
      wrong.push(`${text}: ${toBytes(parsed.color).join()} not ${painted[i]!.join()}`)
  })
  expect(wrong).toEqual([])
  expect(compared).toBeGreaterThan(500)
})
