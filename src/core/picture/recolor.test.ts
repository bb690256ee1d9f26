import fc from 'fast-check'
import { differenceCiede2000, converter } from 'culori'
import { colorOf, difference, fromBytes, toOklch, type Color } from '../color'
import { anyOpaque } from '../color/random-color.fixture'
import { flatColors } from './flat-colors'
import { canRecolor, markedArea, pixelRecolorer } from './recolor'
import { shareOf, tonesOf, visibleShare } from './tones'

const seed = 20261128
const color = (text: string): Color => colorOf(text)!
const [green, plum] = [color('#1c5a54'), color('#6b2d5c')]
const usual = { from: green, to: plum, tolerance: 24 }

const pixel = (...bytes: number[]) => Uint8ClampedArray.from(bytes)
const recolored = (data: Uint8ClampedArray, recoloring = usual) => {
  const copy = new Uint8ClampedArray(data)
  const marked = pixelRecolorer(recoloring)(copy, 0, copy.length / 4)
  return { copy, marked }
}

test('the colour itself becomes the other one, to the byte, whichever they are', () => {
  fc.assert(
    fc.property(anyOpaque, anyOpaque, fc.integer({ min: 1, max: 90 }), (from, to, tolerance) => {
      fc.pre(canRecolor(from))
      const bytes = (each: Color) => [each.r, each.g, each.b].map((c) => Math.round(c * 255))
      const { copy } = recolored(pixel(...bytes(from), 255), { from, to, tolerance })
      expect([...copy]).toEqual([...bytes(to), 255])
    }),
    { seed },
  )
})

test('what is not of the hue stays to the byte, and alpha always', () => {
  fc.assert(
    fc.property(
      fc.uint8Array({ minLength: 4, maxLength: 400 }),
      fc.integer({ min: 1, max: 90 }),
      (bytes, tolerance) => {
        const data = Uint8ClampedArray.from(bytes.subarray(0, bytes.length - (bytes.length % 4)))
        const asked = { ...usual, tolerance }
        const area = markedArea(asked, data)
        const { copy } = recolored(data, asked)
        for (let i = 0; i < area.length; i += 1) {
          const at = i * 4
          const { h, c } = toOklch(fromBytes([data[at]!, data[at + 1]!, data[at + 2]!]))
          const gap = Math.abs(((h - toOklch(green).h + 540) % 360) - 180)
          const isOf = c > 0.01 && gap < tolerance * 1.5
          if (!isOf) expect([...copy.slice(at, at + 4)]).toEqual([...data.slice(at, at + 4)])
          if (area[i] === 0 && !isOf) continue
          expect(copy[at + 3]).toBe(data[at + 3])
        }
      },
    ),
    { seed, numRuns: 300 },
  )
})

// culori 4 (MIT) reads both pictures: an implementation of CIEDE2000 and OKLCH other than ours.
test('a made-up photograph: the unmarked area differs by 0 (CIEDE2000 of culori), the marked one keeps light and shadow', () => {
  const oklch = converter('oklch')
  const gap = differenceCiede2000()
  const read = (data: Uint8ClampedArray, i: number) =>
    ({ mode: 'rgb', r: data[i]! / 255, g: data[i + 1]! / 255, b: data[i + 2]! / 255 }) as const
  // Left half: the old colour from dark to light, as on a lit surface. Right half: skin, sky, paper, grey.
  const [width, height] = [64, 64]
  const data = new Uint8ClampedArray(width * height * 4)
  const others = ['#c58c6d', '#7fa8d8', '#f6f1e7', '#808080', '#d65a2a'].map(color)
  for (let y = 0; y < height; y += 1) {
    for (let x = 0; x < width; x += 1) {
      const light = 0.4 + (1.4 * y) / height
      const own = x < width / 2 ? green : others[Math.floor((y * others.length) / height)]!
      const k = x < width / 2 ? light : 1
      data.set(
        [own.r, own.g, own.b].map((c) => Math.round(255 * Math.min(1, c * k))).concat(255),
        (y * width + x) * 4,
      )
    }
  }
  const { copy } = recolored(data)
  let [unmarked, count] = [0, 0]
  const lights: number[] = []
  for (let y = 0; y < height; y += 1) {
    for (let x = 0; x < width; x += 1) {
      const at = (y * width + x) * 4
      if (x >= width / 2) {
        unmarked += gap(read(data, at), read(copy, at))
        count += 1
      } else if (x === 3) {
        const now = oklch(read(copy, at))
        lights.push(now.l)
        expect(Math.abs((((now.h ?? 0) - toOklch(plum).h + 540) % 360) - 180)).toBeLessThan(12)
      }
    }
  }
  expect(unmarked / count).toBe(0)
  // Lighter below than above, all the way, as it was.
  for (let i = 1; i < lights.length; i += 1)
    expect(lights[i]!).toBeGreaterThanOrEqual(lights[i - 1]!)
  expect(lights.at(-1)! - lights[0]!).toBeGreaterThan(0.2)
})

test('edges are soft: from what is marked to what is not there is no step', () => {
  const between = (k: number) =>
    [28, 90, 84].map((c, i) => Math.round(c + ([246, 241, 231][i]! - c) * k))
  const data = Uint8ClampedArray.from(
    Array.from({ length: 60 }, (_, i) => [...between(i / 59), 255]).flat(),
  )
  const { copy } = recolored(data)
  const at = (i: number) => fromBytes([copy[i * 4]!, copy[i * 4 + 1]!, copy[i * 4 + 2]!])
  for (let i = 1; i < 60; i += 1) expect(difference(at(i), at(i - 1))).toBeLessThan(6)
})

describe('a drawing of flat colours', () => {
  /** Areas of each colour, and edges of every coverage between those beside each other, mixed as sRGB is encoded. */
  const drawing = (...colors: Color[]) => {
    const bytes = colors.map((each) => [each.r, each.g, each.b].map((c) => Math.round(c * 255)))
    const rows = bytes.flatMap((own, i) => {
      const next = bytes[i + 1]
      const area = Array.from({ length: 400 }, () => [...own, 255])
      const edge = Array.from({ length: next ? 9 : 0 }, (_, k) => [
        ...own.map((c, channel) => Math.round(c + ((next![channel]! - c) * (k + 1)) / 10)),
        255,
      ])
      return [...area, ...edge]
    })
    return Uint8ClampedArray.from(rows.flat())
  }
  const remixed = (data: Uint8ClampedArray, recoloring = usual) => {
    const copy = new Uint8ClampedArray(data)
    pixelRecolorer(recoloring, flatColors(copy))(copy, 0, copy.length / 4)
    return copy
  }
  const colorAt = (data: Uint8ClampedArray, i: number) =>
    fromBytes([data[i * 4]!, data[i * 4 + 1]!, data[i * 4 + 2]!])
  /** The largest difference from the drawing as it would be drawn in the new colour. */
  const off = (data: Uint8ClampedArray, redrawn: Uint8ClampedArray) =>
    Math.max(
      ...Array.from({ length: data.length / 4 }, (_, i) =>
        difference(colorAt(data, i), colorAt(redrawn, i)),
      ),
    )

  test('has no fringe of the old hue: each edge is the mixture of what its colours become', () => {
    const paper = color('#f7f2e7')
    const before = drawing(paper, green, color('#ffffff'), green, color('#171717'))
    const redrawn = drawing(paper, plum, color('#ffffff'), plum, color('#171717'))
    expect(off(remixed(before), redrawn)).toBeLessThan(1)
    // By hue alone a fringe stays.
    expect(off(recolored(before).copy, redrawn)).toBeGreaterThan(4)
  })

  test('whatever the colours', () => {
    fc.assert(
      fc.property(anyOpaque, anyOpaque, fc.integer({ min: 0, max: 255 }), (from, to, grey) => {
        const ground = fromBytes([grey, grey, grey])
        fc.pre(canRecolor(from) && difference(from, ground) > 10)
        const recoloring = { from, to, tolerance: 24 }
        const redrawn = drawing(ground, to, ground)
        expect(off(remixed(drawing(ground, from, ground), recoloring), redrawn)).toBeLessThan(1.5)
      }),
      { seed, numRuns: 400 },
    )
  })

  test('keeps what is no mixture of a colour that is recoloured', () => {
    const data = drawing(color('#ffffff'), color('#d6a72a'), color('#171717'), green)
    const kept = remixed(data)
    const until = (3 * 400 + 2 * 9) * 4
    expect(kept.slice(0, until)).toEqual(data.slice(0, until))
  })

  test('a photograph has no flat colours', () => {
    const noise = Uint8ClampedArray.from({ length: 40_000 }, (_, i) =>
      i % 4 === 3 ? 255 : (i * 7919) % 251,
    )
    expect(flatColors(noise)).toEqual([])
    expect(flatColors(new Uint8ClampedArray(400))).toEqual([])
  })
})

test('a grey cannot be looked for in a picture, and becomes nothing', () => {
  expect(['#808080', 'white', 'black'].map((text) => canRecolor(color(text)))).toEqual([
    false,
    false,
    false,
  ])
  const greys = Uint8ClampedArray.from(Array.from({ length: 256 }, (_, i) => [i, i, i, 255]).flat())
  expect([...recolored(greys).copy]).toEqual([...greys])
})

describe('tones', () => {
  const picture = (...runs: ReadonlyArray<readonly [Color, number]>) =>
    Uint8ClampedArray.from(
      runs.flatMap(([{ r, g, b, alpha }, count]) =>
        Array.from({ length: count }, () => [r * 255, g * 255, b * 255, alpha * 255]).flat(),
      ),
    )

  test('tell how much of a picture is of a colour, in light and in shadow', () => {
    const tones = tonesOf(
      picture([green, 30], [color('#246f68'), 10], [color('#f6f1e7'), 50], [color('#d65a2a'), 10]),
    )
    expect(shareOf(tones, green)).toBeCloseTo(0.4, 2)
    expect(shareOf(tones, plum)).toBe(0)
    // A slate beside the green is another colour.
    expect(shareOf(tonesOf(picture([color('#3d5350'), 100])), green)).toBe(0)
    expect(shareOf(tones, color('#d65a2a'))).toBeCloseTo(0.1, 2)
  })

  test('what cannot be seen counts for nothing', () => {
    const tones = tonesOf(picture([{ ...green, alpha: 0 }, 90], [color('white'), 10]))
    expect(shareOf(tones, green)).toBeLessThan(visibleShare)
  })
})
