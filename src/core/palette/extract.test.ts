import {
  colorOf,
  difference,
  fromBytes,
  fromOklch,
  mapToGamut,
  toBytes,
  toOklab,
  toOklch,
  writeHex,
} from '../color'
import { extractColors, type Pixels } from './extract'
import { syntheticPicture } from './synthetic.fixture'
import { seededRandom } from './variations'

const of = (text: string) => colorOf(text)!

describe('a made-up picture of known colours', () => {
  const known = ['#f7f2e7', '#1d5955', '#d65a2a', '#5c6866', '#17211f', '#dce5e0'].map(of)

  test.each([0, 10, 20])('all six are found, noise of ±%i', (noise) => {
    const picture = syntheticPicture(
      known.map((color) => [color, 1]),
      600,
      400,
      noise,
      7,
    )
    const found = extractColors(picture, 6)
    expect(found).toHaveLength(6)
    for (const color of known) {
      const nearest = Math.min(...found.map((each) => difference(each.color, color)))
      expect(nearest).toBeLessThan(noise === 0 ? 0.5 : 2)
    }
  })

  test('a small vivid accent is not lost against a large dull area', () => {
    const picture = syntheticPicture(
      [
        [of('#8a8f8c'), 40],
        [of('#a3a8a4'), 30],
        [of('#c4c7c2'), 28],
        [of('#d65a2a'), 1.2],
      ],
      800,
      500,
      12,
      3,
    )
    const found = extractColors(picture, 3)
    expect(Math.min(...found.map(({ color }) => difference(color, of('#d65a2a'))))).toBeLessThan(3)
  })

  test('each is marked where it is seen', () => {
    const picture = syntheticPicture(
      [
        [of('#ffffff'), 1],
        [of('#d65a2a'), 1],
      ],
      400,
      200,
      4,
      5,
    )
    const rust = extractColors(picture, 2).find(
      ({ color }) => difference(color, of('#d65a2a')) < 2,
    )!
    expect(rust.x).toBeGreaterThan(0.5)
    expect(rust.share).toBeCloseTo(0.5, 1)
  })

  test('the same picture gives the same colours', () => {
    const picture = syntheticPicture(
      known.map((color, i) => [color, i + 1]),
      300,
      300,
      30,
      9,
    )
    expect(extractColors(picture, 5)).toEqual(extractColors(picture, 5))
  })
})

describe('made-up photographs', () => {
  /** Soft light over a few things of a muted scene, with noise: smooth as a photograph, and no two alike. */
  function photograph(seed: number): Pixels {
    const random = seededRandom(seed)
    const [width, height] = [160, 120]
    const base = toOklch(fromBytes([random() * 255, random() * 255, random() * 255]))
    const things = Array.from({ length: 5 + Math.floor(random() * 6) }, () => ({
      x: random() * width,
      y: random() * height,
      reach: 8 + random() * 45,
      color: {
        l: 0.15 + random() * 0.75,
        c: random() < 0.6 ? random() * 0.05 : random() * 0.2,
        h: base.h + (random() - 0.5) * 240,
        alpha: 1,
      },
    }))
    const data = new Uint8ClampedArray(width * height * 4)
    for (let i = 0; i < width * height; i += 1) {
      const [x, y] = [i % width, Math.floor(i / width)]
      const near = things.map((thing) => {
        const gap = Math.hypot(x - thing.x, y - thing.y) / thing.reach
        return [Math.exp(-(gap ** 4)) + 1e-6, thing] as const
      })
      const all = near.reduce((sum, [weight]) => sum + weight, 0)
      const mix = (part: 'l' | 'c') =>
        near.reduce((sum, [weight, { color }]) => sum + weight * color[part], 0) / all
      const [, strongest] = near.reduce((best, each) => (each[0] > best[0] ? each : best))
      const light = 0.85 + (0.3 * x) / width
      const oklch = {
        l: Math.min(0.98, mix('l') * light),
        c: mix('c'),
        h: strongest.color.h,
        alpha: 1,
      }
      const [r, g, b] = toBytes(mapToGamut(fromOklch(oklch)))
      const noise = () => (random() + random() - 1) * 10
      data.set([r + noise(), g + noise(), b + noise(), 255], i * 4)
    }
    return { data, width, height }
  }

  const labs = ({ data }: Pixels) =>
    Array.from({ length: data.length / 4 }, (_, i) =>
      toOklab(fromBytes([data[i * 4]!, data[i * 4 + 1]!, data[i * 4 + 2]!])),
    )
  type Point = ReturnType<typeof toOklab>
  const gap = (p: Point, q: Point) => (p.l - q.l) ** 2 + (p.a - q.a) ** 2 + (p.b - q.b) ** 2
  const error = (points: readonly Point[], centres: readonly Point[]) =>
    points.reduce((sum, point) => sum + Math.min(...centres.map((each) => gap(point, each))), 0)

  /** The best of several k-means with random beginnings (k-means++, Arthur and Vassilvitskii 2007). */
  function kMeans(points: readonly Point[], count: number, seed: number): number {
    const random = seededRandom(seed)
    const run = () => {
      let centres = [points[Math.floor(random() * points.length)]!]
      while (centres.length < count) {
        const gaps = points.map((point) => Math.min(...centres.map((each) => gap(point, each))))
        let left = random() * gaps.reduce((sum, each) => sum + each, 0)
        const next = gaps.findIndex((each) => (left -= each) <= 0)
        centres.push(points[Math.max(0, next)]!)
      }
      for (let round = 0; round < 12; round += 1) {
        const sums = centres.map(() => ({ l: 0, a: 0, b: 0, n: 0 }))
        for (const point of points) {
          const own = centres.map((each) => gap(point, each))
          const sum = sums[own.indexOf(Math.min(...own))]!
          Object.assign(sum, {
            l: sum.l + point.l,
            a: sum.a + point.a,
            b: sum.b + point.b,
            n: sum.n + 1,
          })
        }
        centres = sums.map(({ l, a, b, n }, i) =>
          n ? { l: l / n, a: a / n, b: b / n, alpha: 1 } : centres[i]!,
        )
      }
      return error(points, centres)
    }
    return Math.min(...Array.from({ length: 4 }, run))
  }

  test('are told about as well as by the best of several k-means: twenty of them, by five colours', () => {
    const seed = Math.floor(Math.random() * 1e6)
    console.warn(`photographs: seed ${seed}`)
    // 2087 has three colours only, one of them very small.
    const seeds = [2087, ...Array.from({ length: 20 }, (_, i) => seed + i)]
    const ratios = seeds.map((seed) => {
      const picture = photograph(seed)
      const points = labs(picture).filter((_, at) => at % 7 === 0)
      const found = extractColors(picture, 5)
      const best = kMeans(points, Math.max(found.length, 2), seed)
      return (
        error(
          points,
          found.map(({ color }) => toOklab(color)),
        ) / best
      )
    })
    const mean = ratios.reduce((sum, each) => sum + each, 0) / ratios.length
    console.warn(
      `ratio to k-means: mean ${mean.toFixed(3)}, most ${Math.max(...ratios).toFixed(3)}`,
    )
    expect(mean).toBeLessThanOrEqual(1.1)
    expect(Math.max(...ratios)).toBeLessThanOrEqual(1.3)
  })
})

test('a logo of three colours gives three, whatever its edges are blended of', () => {
  const [width, height] = [300, 200]
  const data = new Uint8ClampedArray(width * height * 4).fill(255)
  const [brand, spark] = [of('#1d5955'), of('#d65a2a')].map(toBytes)
  for (let i = 0; i < width * height; i += 1) {
    const [x, y] = [i % width, Math.floor(i / width)]
    // Two discs on white, their edges two pixels wide, as drawing programs soften them.
    const inside = (cx: number, reach: number) =>
      Math.min(1, Math.max(0, (reach - Math.hypot(x - cx, y - 100)) / 2 + 0.5))
    const [one, other] = [inside(95, 70), inside(205, 60)]
    const mixed = (k: number) => {
      const under = 255 + (brand![k]! - 255) * one
      return Math.round(under + (spark![k]! - under) * other)
    }
    data.set([mixed(0), mixed(1), mixed(2), 255], i * 4)
  }
  const found = extractColors({ data, width, height }, 6).map(({ color }) => writeHex(color))
  expect(found.sort()).toEqual(['#1d5955', '#d65a2a', '#ffffff'])
})

describe('odd pictures', () => {
  test('of a single colour: that colour', () => {
    const found = extractColors(syntheticPicture([[of('#27496d'), 1]], 50, 50, 0, 1), 6)
    expect(found).toHaveLength(1)
    expect(difference(found[0]!.color, of('#27496d'))).toBeLessThan(0.1)
  })

  test('all transparent: none', () => {
    expect(extractColors({ data: new Uint8ClampedArray(400), width: 10, height: 10 }, 6)).toEqual(
      [],
    )
  })

  test('one pixel, and a line', () => {
    expect(
      extractColors({ data: new Uint8ClampedArray([1, 2, 3, 255]), width: 1, height: 1 }, 4),
    ).toHaveLength(1)
    expect(
      extractColors(
        syntheticPicture(
          [
            [of('red'), 1],
            [of('blue'), 1],
          ],
          100,
          1,
          0,
          1,
        ),
        4,
      ),
    ).toHaveLength(2)
  })
})
