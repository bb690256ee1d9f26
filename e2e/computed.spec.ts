import { expect, test } from '@playwright/test'
import { displayable } from 'culori'
import fc from 'fast-check'
import { applyShade, colorOf, toBytes, toOklch, type Color, type Shade } from '@/core/color'
import { slotsInOrder, type PageId } from '@/core/site'
import { slotReference } from '@/core/sweep'
import { states } from '@/core/traits'
import { designs, designSite } from '@/core/designs/ready'
import { anyLooking } from '@/core/site/any-looks.fixture'
import { demoSites } from '@demo/sites'
import { compare, plain } from './computed'

for (const site of demoSites) {
  test(`what the core resolves is what Chromium computes: every element, property and state of ${site.frame.name}`, async ({
    page,
  }) => {
    test.setTimeout(240_000)
    const docs = plain(site)
    const pages = site.pages.map(({ id }) => id)
    const wide = await compare(page, docs, pages, 1280)
    expect(wide.wrong.slice(0, 20)).toEqual([])
    expect(wide.asked).toBeGreaterThan(site.pages.length * 400)
    const narrow = await compare(page, docs, pages, 390, ['rest'])
    expect(narrow.wrong.slice(0, 20)).toEqual([])
  })
}

/** Documents that are tried; `./easel test --long` asks for more. */
const RANDOM = Number(process.env.EASEL_LOOKS ?? 24)

test('what the core resolves is what Chromium computes, of random looks on all designs', async ({
  page,
}) => {
  test.setTimeout(60_000 + RANDOM * 5_000)
  const seed = Number(process.env.EASEL_SEED ?? Date.now() % 1_000_000)
  console.warn(`random looks: EASEL_SEED=${seed}`)
  let asked = 0
  for (let n = 0; n < RANDOM; n += 1) {
    const design = designs[n % designs.length]!
    const { docs } = designSite(design, 'Any site', [])
    const [made] = fc.sample(anyLooking(docs), { numRuns: 1, seed: seed + n })
    const ids = Object.keys(docs.pages) as PageId[]
    const other = states[1 + (n % (states.length - 1))]!
    const width = n % 3 ? 1280 : 390
    const found = await compare(page, made!, [ids[n % ids.length]!], width, ['rest', other])
    expect(found.wrong.slice(0, 10), `EASEL_SEED=${seed + n}, ${design.id}`).toEqual([])
    asked += found.asked
  }
  expect(asked).toBeGreaterThan(RANDOM * 200)
})

const SHADES: readonly Shade[] = [
  { lightness: 8 },
  { lightness: -12 },
  { saturation: -40 },
  { hue: 25 },
  { alpha: -60 },
  { lightness: 6, saturation: -30, hue: -15 },
  { lightness: -10, alpha: -20 },
]

const bytesOf = (color: Color) => [...toBytes(color), Math.round(color.alpha * 255)]

test('a shade that is written into CSS text is computed by Chromium as the core has it', async ({
  page,
}) => {
  const { palette } = demoSites[0]!.frame
  const asked = slotsInOrder(palette).flatMap(({ id, value }) => {
    const color = colorOf(value ?? '')
    return color ? SHADES.map((shade) => ({ slot: id, shade, color })) : []
  })
  const properties = slotsInOrder(palette).map(({ id, value }) => `--slot-${id}: ${value}`)
  await page.setContent(
    `<body style="${properties.join(';')}">${asked
      .map((each) => `<p style="color: ${slotReference(each)}">shade</p>`)
      .join('')}</body>`,
  )
  const computed = await page
    .locator('p')
    .evaluateAll((nodes) => nodes.map((node) => getComputedStyle(node).color))
  const wrong = asked.flatMap(({ slot, shade, color }, index) => {
    const { l, c, h } = toOklch(color)
    const { lightness = 0, saturation = 0, hue = 0 } = shade
    const target = { l: l + lightness / 100, c: c * (1 + saturation / 100), h: h + hue }
    // What sRGB cannot show, a browser cuts off and the core maps; only the rest can agree.
    if (!displayable({ mode: 'oklch', ...target })) return []
    const expected = bytesOf(applyShade(color, shade))
    const found = bytesOf(colorOf(computed[index]!)!)
    // Chromium computes with single precision: the last bit of a byte may differ.
    return expected.every((byte, channel) => Math.abs(byte - found[channel]!) <= 1)
      ? []
      : [`${slot} ${JSON.stringify(shade)}: ${found.join(' ')}, not ${expected.join(' ')}`]
  })
  expect(wrong).toEqual([])
  expect(asked.length).toBe(6 * SHADES.length)
})
