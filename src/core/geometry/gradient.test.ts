import fc from 'fast-check'
import { cornersOf, within, type Point, type Rect, type Size } from './box'
import {
  angleTowards,
  endingRadii,
  gradientCenter,
  placeAlong,
  pointAlong,
  stretchesIn,
  type GradientWay,
} from './gradient'

const percent = fc.double({ min: 0, max: 100, noNaN: true })
const way: fc.Arbitrary<GradientWay> = fc.record({
  gradient: fc.constantFrom('linear', 'radial', 'conic'),
  angle: fc.integer({ min: 0, max: 360 }),
  center: fc.option(fc.record({ x: percent, y: percent }), { nil: undefined }),
})
const side = fc.integer({ min: 1, max: 4000 })
const box: fc.Arbitrary<Size> = fc.record({ width: side, height: side })
const share = fc.double({ min: 0, max: 1, noNaN: true })

/** Somewhere in a box. */
const at = ({ width, height }: Size, x: number, y: number): Point => ({
  x: x * width,
  y: y * height,
})

const linear = (angle: number): GradientWay => ({ gradient: 'linear', angle })

/** A rectangle of a box between two of its points. */
const rectOf = (size: Size, [x, y, x2, y2]: readonly number[]): Rect => ({
  ...at(size, Math.min(x!, x2!), Math.min(y!, y2!)),
  width: Math.abs(x! - x2!) * size.width,
  height: Math.abs(y! - y2!) * size.height,
})

describe('linear gradients (CSS Images 4, 3.1.1)', () => {
  const size = { width: 200, height: 100 }
  const corners = cornersOf({ x: 0, y: 0, ...size })

  test('0° goes to the top, 90° to the right, 180° to the bottom, 270° to the left', () => {
    expect(placeAlong(linear(0), size, { x: 60, y: 100 })).toBeCloseTo(0)
    expect(placeAlong(linear(0), size, { x: 60, y: 0 })).toBeCloseTo(1)
    expect(placeAlong(linear(90), size, { x: 50, y: 3 })).toBeCloseTo(0.25)
    expect(placeAlong(linear(180), size, { x: 9, y: 75 })).toBeCloseTo(0.75)
    expect(placeAlong(linear(270), size, { x: 50, y: 3 })).toBeCloseTo(0.75)
  })

  test('at 45° the line is |w·sin 45°| + |h·cos 45°| long, and both corners have the colours of its ends', () => {
    const [from, to] = [pointAlong(linear(45), size, 0), pointAlong(linear(45), size, 1)]
    expect(Math.hypot(to.x - from.x, to.y - from.y)).toBeCloseTo(300 * Math.SQRT1_2)
    expect(placeAlong(linear(45), size, corners[1]!)).toBeCloseTo(1)
    expect(placeAlong(linear(45), size, corners[3]!)).toBeCloseTo(0)
  })

  test('at any angle the corners that it points to have exactly the colours of its ends', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 360 }), box, (angle, any) => {
        const places = cornersOf({ x: 0, y: 0, ...any }).map((corner) =>
          placeAlong(linear(angle), any, corner),
        )
        expect(Math.min(...places)).toBeCloseTo(0, 9)
        expect(Math.max(...places)).toBeCloseTo(1, 9)
      }),
    )
  })
})

describe('radial gradients (CSS Images 4, 3.2.1)', () => {
  test('an ellipse in the middle goes through all corners', () => {
    const size = { width: 300, height: 100 }
    const radial: GradientWay = { gradient: 'radial', angle: 0 }
    expect(endingRadii(radial, size)).toEqual({ x: 150 * Math.SQRT2, y: 50 * Math.SQRT2 })
    for (const corner of cornersOf({ x: 0, y: 0, ...size })) {
      expect(placeAlong(radial, size, corner)).toBeCloseTo(1)
    }
  })

  test('from anywhere it ends at the farthest corner, with the sides of an ellipse to the farthest sides', () => {
    fc.assert(
      fc.property(percent, percent, box, (x, y, any) => {
        const radial: GradientWay = { gradient: 'radial', angle: 0, center: { x, y } }
        const places = cornersOf({ x: 0, y: 0, ...any }).map((corner) =>
          placeAlong(radial, any, corner),
        )
        expect(Math.max(...places)).toBeCloseTo(1, 9)
        const center = gradientCenter(radial, any)
        const radii = endingRadii(radial, any)
        const toSides = {
          x: Math.max(center.x, any.width - center.x),
          y: Math.max(center.y, any.height - center.y),
        }
        expect(radii.x / radii.y).toBeCloseTo(toSides.x / toSides.y, 6)
      }),
    )
  })
})

test('conic gradients go around clockwise from their angle, 0° at the top (CSS Images 4, 3.3.1)', () => {
  const size = { width: 100, height: 100 }
  const conic = (angle: number): GradientWay => ({ gradient: 'conic', angle })
  expect(placeAlong(conic(0), size, { x: 100, y: 50 })).toBeCloseTo(0.25)
  expect(placeAlong(conic(0), size, { x: 50, y: 100 })).toBeCloseTo(0.5)
  expect(placeAlong(conic(90), size, { x: 50, y: 100 })).toBeCloseTo(0.25)
  expect(placeAlong(conic(270), size, { x: 50, y: 0 })).toBeCloseTo(0.25)
})

test('a point that shows a place lies at that place', () => {
  fc.assert(
    fc.property(way, box, share, (each, size, place) => {
      const found = placeAlong(each, size, pointAlong(each, size, place))
      // Once around is where it begins.
      const off = Math.abs(found - place)
      expect(each.gradient === 'conic' ? Math.min(off, 1 - off) : off).toBeLessThan(1e-6)
    }),
  )
})

test('an angle towards a point leads to it', () => {
  fc.assert(
    fc.property(way, box, share, share, (each, size, x, y) => {
      const point = at(size, x, y)
      const turned = { ...each, angle: angleTowards(each, size, point) }
      expect(turned.angle).toBeGreaterThanOrEqual(0)
      expect(turned.angle).toBeLessThan(360)
      const center = each.gradient === 'linear' ? at(size, 0.5, 0.5) : gradientCenter(each, size)
      fc.pre(each.gradient !== 'radial' && Math.hypot(point.x - center.x, point.y - center.y) > 1)
      const place = placeAlong(turned, size, point)
      if (each.gradient === 'conic') expect(Math.min(place, 1 - place)).toBeLessThan(0.51 / 360)
      else expect(place).toBeGreaterThan(0.5)
    }),
  )
})

test('every place within a rectangle is in one of its stretches, and each of their ends is reached', () => {
  fc.assert(
    fc.property(
      way,
      box,
      fc.tuple(share, share, share, share),
      fc.array(fc.tuple(share, share), { minLength: 20, maxLength: 20 }),
      (each, size, ends, inside) => {
        const rect = rectOf(size, ends)
        fc.pre(rect.width > 0.5 && rect.height > 0.5)
        const stretches = stretchesIn(each, size, rect)
        const edges = Array.from({ length: 41 }, (_, i) => i / 40)
        const points = [
          ...inside,
          ...edges.flatMap((e) => [
            [e, 0] as const,
            [e, 1] as const,
            [0, e] as const,
            [1, e] as const,
          ]),
        ].map(([x, y]) => ({ x: rect.x + x * rect.width, y: rect.y + y * rect.height }))
        const places = points.map((point) => placeAlong(each, size, point))
        for (const place of places) {
          // Within rounding, also once around.
          const isIn = ({ from, to }: (typeof stretches)[number]) =>
            [place, place - 1, place + 1].some((p) => p >= from - 1e-9 && p <= to + 1e-9)
          expect(stretches.some(isIn)).toBe(true)
        }
        if (each.gradient === 'linear') {
          expect(Math.min(...places)).toBeCloseTo(stretches[0]!.from, 9)
          expect(Math.max(...places)).toBeCloseTo(stretches[0]!.to, 9)
        }
        if (each.gradient === 'radial') {
          expect(Math.max(...places)).toBeCloseTo(stretches[0]!.to, 9)
        }
      },
    ),
  )
})

test('a rectangle is cut to its box', () => {
  const size = { width: 100, height: 50 }
  expect(within({ x: -10, y: 40, width: 30, height: 30 }, size)).toEqual({
    x: 0,
    y: 40,
    width: 20,
    height: 10,
  })
  expect(within({ x: 100, y: 0, width: 10, height: 10 }, size)).toBeUndefined()
})
