import { expect, test } from '@playwright/test'
import fc from 'fast-check'
import sharp from 'sharp'
import {
  fromBytes,
  mix,
  mixSpaces,
  toBytes,
  toOklch,
  writeHex,
  type Color,
  type MixSpace,
} from '@/core/color'
import { designs, designSite } from '@/core/designs/ready'
import { gradientRecipes } from '@/core/palette'
import { paintCss } from '@/core/render'
import { slotColor } from '@/core/resolve'
import { slotsInOrder, type GradientPaint } from '@/core/site'

const WIDTH = 400

const color: fc.Arbitrary<Color> = fc
  .tuple(fc.nat(255), fc.nat(255), fc.nat(255), fc.constantFrom(1, 1, 0.6, 0.2, 0))
  .map(([r, g, b, alpha]) => ({ ...fromBytes([r, g, b]), alpha }))
  // At the very chroma where a hue begins to count, either may be.
  .filter((each) => Math.abs(toOklch(each).c - 0.02) > 0.001)

const noPicture = () => ({ url: '', position: '' })

/** A gradient of two colours, left to right. */
const between = (from: Color, to: Color, space: MixSpace): GradientPaint => ({
  gradient: 'linear',
  angle: 90,
  space,
  stops: [
    { at: 0, color: { value: writeHex(from) } },
    { at: 100, color: { value: writeHex(to) } },
  ],
})

/** What lies between the two colours of a pixel over white, and what it would be. */
const overWhite = ([r, g, b]: readonly number[], alpha: number) =>
  [r!, g!, b!].map((channel) => channel * alpha + 255 * (1 - alpha))

for (const space of mixSpaces) {
  test(`colours mixed in ${space} are those that Chromium paints along a gradient`, async ({
    page,
  }) => {
    const seed = Number(process.env.EASEL_SEED ?? Date.now() % 1_000_000)
    const pairs = fc.sample(fc.tuple(color, color), { numRuns: 40, seed })
    await page.setViewportSize({ width: WIDTH, height: pairs.length * 4 })
    const rows = pairs.map(
      ([from, to]) =>
        `<div style="height: 4px; background: ${paintCss(between(from, to, space), noPicture)}"></div>`,
    )
    await page.setContent(`<style>body { margin: 0; background: white }</style>${rows.join('')}`)
    const { data, info } = await sharp(await page.screenshot())
      .removeAlpha()
      .raw()
      .toBuffer({ resolveWithObject: true })
    const wrong: string[] = []
    pairs.forEach(([from, to], row) => {
      for (const x of [10, 100, 200, 300, 390]) {
        const at = ((row * 4 + 2) * info.width + x) * 3
        const painted = [data[at]!, data[at + 1]!, data[at + 2]!]
        const made = mix(from, to, (x + 0.5) / WIDTH, space)
        const expected = overWhite(toBytes(made), made.alpha)
        const off = Math.max(...painted.map((channel, i) => Math.abs(channel - expected[i]!)))
        // Chromium paints with a table of colours, and eight bits of premultiplied alpha.
        if (off > 4) {
          wrong.push(
            `${writeHex(from)} to ${writeHex(to)} at ${x}: ${painted.join(' ')}, not ${expected.map(Math.round).join(' ')}`,
          )
        }
      }
    })
    expect(wrong, `EASEL_SEED=${seed}`).toEqual([])
  })
}

test('Chromium takes every recipe of every design, and every kind of gradient and picture', async ({
  page,
}) => {
  const paints = designs.flatMap((design) => {
    const { palette } = designSite(design, 'Any site', []).docs.frame
    const colors = slotsInOrder(palette).map(({ id }) => ({ id, color: slotColor(palette, id) }))
    return gradientRecipes(colors).map(({ paint }) => paint as GradientPaint)
  })
  const center = { x: 20, y: 80 }
  const more = (['linear', 'radial', 'conic'] as const).flatMap((gradient) =>
    mixSpaces.map((space) => ({ ...paints[0]!, gradient, center, space })),
  )
  const picture = { picture: 'logo', under: { value: '#123456' } } as never
  const pictures = (['cover', 'contain', 'repeat'] as const).flatMap((fit) => [
    { ...(picture as object), fit },
    { ...(picture as object), fit, position: center, tint: { value: 'rgb(0 0 0 / 40%)' } },
  ])
  const written = [...paints, ...more, ...pictures].map((paint) =>
    // The slots themselves are none of the question here.
    paintCss(
      paint as never,
      () => ({ url: 'a.png', position: 'center' }),
      (decision) => ('value' in decision ? decision.value : '#1d5955'),
    ),
  )
  expect(written.length).toBeGreaterThan(170)
  const refused = await page.evaluate(
    (all) => all.filter((css) => !CSS.supports('background', css)),
    written,
  )
  expect(refused).toEqual([])
})
