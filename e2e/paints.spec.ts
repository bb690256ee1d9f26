import { expect, test, type Page } from '@playwright/test'
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
import { laid, placeAlong, shownIn } from '@/core/geometry'
import { colorAlong, slotColor } from '@/core/resolve'
import { gradientKinds, pictureFits, slotsInOrder, type GradientPaint } from '@/core/site'

const WIDTH = 400

const color: fc.Arbitrary<Color> = fc
  .tuple(fc.nat(255), fc.nat(255), fc.nat(255), fc.constantFrom(1, 1, 0.6, 0.2, 0))
  .map(([r, g, b, alpha]) => ({ ...fromBytes([r, g, b]), alpha }))
  // At the very chroma where a hue begins to count, either may be.
  .filter((each) => Math.abs(toOklch(each).c - 0.02) > 0.001)

/** Chromium gives an exact grey a hue that its rounding makes (measured); CSS Color 4, 12.2 gives it none. */
const isGrey = (each: Color) => new Set(toBytes(each)).size === 1

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
    const any = space === 'oklch' ? color.filter((each) => !isGrey(each)) : color
    const pairs = fc.sample(fc.tuple(any, any), { numRuns: 40, seed })
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

/** What a page shows at a point, in bytes. */
async function shownOn(page: Page) {
  const { data, info } = await sharp(await page.screenshot())
    .removeAlpha()
    .raw()
    .toBuffer({ resolveWithObject: true })
  return (x: number, y: number) => {
    const at = (y * info.width + x) * 3
    return [data[at]!, data[at + 1]!, data[at + 2]!] as const
  }
}

const farthest = (one: readonly number[], other: readonly number[]) =>
  Math.max(...one.map((channel, i) => Math.abs(channel - other[i]!)))

const percent = fc.integer({ min: 0, max: 100 })
const center = fc.option(fc.record({ x: percent, y: percent }), { nil: undefined })
const BOX = { width: 230, height: 90 }

test('every point of any gradient has the colour that Chromium paints there (CSS Images 4)', async ({
  page,
}) => {
  const seed = Number(process.env.EASEL_SEED ?? Date.now() % 1_000_000)
  const stops = fc
    .array(fc.tuple(percent, fc.nat(255), fc.nat(255), fc.nat(255)), { minLength: 2, maxLength: 5 })
    .map((all) =>
      all
        .sort(([a], [b]) => a - b)
        .map(([at, ...bytes]) => ({ at, color: { value: writeHex(fromBytes(bytes)) } })),
    )
  const gradient = fc.record({
    gradient: fc.constantFrom(...gradientKinds),
    angle: fc.integer({ min: 0, max: 360 }),
    center,
    stops,
  })
  const points = fc.array(fc.tuple(fc.nat(BOX.width - 1), fc.nat(BOX.height - 1)), {
    minLength: 12,
    maxLength: 12,
  })
  const all = fc.sample(fc.tuple(gradient, points), { numRuns: 60, seed })
  await page.setViewportSize({ width: BOX.width, height: BOX.height * all.length })
  const rows = all.map(
    ([paint]) =>
      `<div style="height: ${BOX.height}px; background: ${paintCss(paint as GradientPaint, noPicture)}"></div>`,
  )
  await page.setContent(`<style>body { margin: 0 }</style>${rows.join('')}`)
  const shown = await shownOn(page)
  const wrong: string[] = []
  all.forEach(([paint, places], row) => {
    for (const [x, y] of places) {
      const colorAt = (dx: number, dy: number) => {
        const at = placeAlong(paint, BOX, { x: x + 0.5 + dx, y: y + 0.5 + dy })
        return toBytes(colorAlong({ slots: {} }, paint as GradientPaint, at))
      }
      const painted = shown(x, row * BOX.height + y)
      const near = [-0.7, 0, 0.7].flatMap((dx) => [-0.7, 0, 0.7].map((dy) => colorAt(dx, dy)))
      // Where colours change from one pixel to the next, any of those around may be painted.
      const jump = Math.max(...near.map((each) => farthest(each, colorAt(0, 0))))
      if (farthest(painted, colorAt(0, 0)) > 4 + jump) {
        wrong.push(
          `${paintCss(paint as GradientPaint, noPicture)} at ${x}, ${y}: ${painted.join(' ')}`,
        )
      }
    }
  })
  expect(wrong, `EASEL_SEED=${seed}`).toEqual([])
})

test('every point of a picture lies where Chromium paints it, however it fills its box', async ({
  page,
}) => {
  // Across it is redder, down greener: a colour tells the place.
  const size = { width: 128, height: 64 }
  const bytes = Buffer.from(
    Array.from({ length: size.width * size.height }, (_, i) => [
      (i % size.width) * 2,
      Math.floor(i / size.width) * 4,
      0,
    ]).flat(),
  )
  const png = await sharp(bytes, { raw: { ...size, channels: 3 } })
    .png()
    .toBuffer()
  const url = `data:image/png;base64,${png.toString('base64')}`
  const places = [0, 10, 50, 85, 100].flatMap((x) => [0, 40, 100].map((y) => ({ x, y })))
  const all = pictureFits.flatMap((fit) => places.map((position) => ({ fit, position })))
  await page.setViewportSize({ width: BOX.width, height: BOX.height * all.length })
  const rows = all.map((way) => {
    const paint = { picture: 'any', under: { value: '#0000ff' }, ...way } as never
    const css = paintCss(paint, () => ({ url, position: 'center' })).replaceAll('"', "'")
    return `<div style="height: ${BOX.height}px; background: ${css}"></div>`
  })
  await page.setContent(`<style>body { margin: 0 }</style>${rows.join('')}`)
  const shown = await shownOn(page)
  const wrong: string[] = []
  all.forEach((way, row) => {
    const lies = laid(way, size, BOX)
    for (let x = 3; x < BOX.width; x += 25) {
      for (let y = 3; y < BOX.height; y += 17) {
        const { parts, bare } = shownIn(lies, { x, y, width: 1, height: 1 })
        // A pixel at the very edge shows a little of both.
        if (parts.length > 1 || (parts.length && bare)) continue
        const [part] = parts
        const expected = part
          ? [(part.x + part.width / 2) * 256 - 1, (part.y + part.height / 2) * 256 - 2, 0]
          : [0, 0, 255]
        const painted = shown(x, row * BOX.height + y)
        const isSeam = part && [part.x, part.y].some((at) => at < 0.02 || at > 0.96)
        if (!isSeam && farthest(painted, expected) > 5) {
          wrong.push(
            `${way.fit} ${way.position.x} ${way.position.y} at ${x}, ${y}: ${painted.join(' ')}, not ${expected.map(Math.round).join(' ')}`,
          )
        }
      }
    }
  })
  expect(wrong).toEqual([])
})
