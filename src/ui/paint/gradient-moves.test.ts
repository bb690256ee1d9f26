import fc from 'fast-check'
import { pointAlong } from '@/core/geometry'
import { gradientKinds, type GradientPaint } from '@/core/site'
import { gradientPaint } from '@/core/site/paint'
import { ledTo, stepped, withStopAt, type Grip } from './gradient-moves'

const stop = (at: number) => ({ at, color: { value: '#123456' } })
const linear: GradientPaint = {
  gradient: 'linear',
  angle: 90,
  stops: [stop(0), stop(40), stop(100)],
}
const box = { width: 200, height: 100 }
const places = ({ stops }: GradientPaint) => stops.map(({ at }) => at)

test('a stop goes where it is led, and not past those beside it', () => {
  expect(places(ledTo(linear, 1, box, { x: 150, y: 3 }, false))).toEqual([0, 75, 100])
  expect(places(ledTo(linear, 2, box, { x: 20, y: 3 }, false))).toEqual([0, 40, 40])
  expect(places(ledTo(linear, 0, box, { x: -500, y: 3 }, false))).toEqual([0, 40, 100])
})

test('an angle is turned towards the pointer, by 15° where that is asked for', () => {
  expect(ledTo(linear, 'angle', box, { x: 100, y: 90 }, false).angle).toBe(180)
  expect(ledTo(linear, 'angle', box, { x: 190, y: 57 }, false).angle).toBe(94)
  expect(ledTo(linear, 'angle', box, { x: 190, y: 57 }, true).angle).toBe(90)
  expect(ledTo(linear, 'angle', box, { x: 98, y: 0 }, true).angle).toBe(0)
})

test('a stop of a conic gradient that is led past its beginning stays at the end it came from', () => {
  const conic: GradientPaint = { gradient: 'conic', angle: 0, stops: [stop(0), stop(95)] }
  const past = pointAlong(conic, box, 0.03)
  expect(places(ledTo(conic, 1, box, past, false))).toEqual([0, 100])
  const before = pointAlong(conic, box, 0.97)
  expect(places(ledTo(conic, 0, box, before, false))).toEqual([0, 95])
})

test('arrow keys take a stop, an angle and a centre along, in larger steps where that is asked for', () => {
  expect(places(stepped(linear, 1, [0, 1], false))).toEqual([0, 41, 100])
  expect(places(stepped(linear, 1, [1, 0], true))).toEqual([0, 30, 100])
  expect(stepped(linear, 'angle', [0, -1], false).angle).toBe(89)
  expect(stepped({ ...linear, angle: 0 }, 'angle', [0, -1], true).angle).toBe(345)
  expect(stepped(linear, 'center', [1, 0], true).center).toEqual({ x: 50, y: 60 })
})

test('whatever is led wherever, it stays a gradient with its stops in order', () => {
  const percent = fc.integer({ min: 0, max: 100 })
  const any: fc.Arbitrary<GradientPaint> = fc.record({
    gradient: fc.constantFrom(...gradientKinds),
    angle: fc.integer({ min: 0, max: 360 }),
    center: fc.option(fc.record({ x: percent, y: percent }), { nil: undefined }),
    stops: fc
      .array(percent, { minLength: 2, maxLength: 6 })
      .map((all) => all.sort((a, b) => a - b).map(stop)),
  })
  const side = fc.integer({ min: 1, max: 2000 })
  const far = fc.integer({ min: -3000, max: 3000 })
  const steps = fc.constantFrom([0, 1], [0, -1], [1, 0], [-1, 0]) as fc.Arbitrary<[number, number]>
  fc.assert(
    fc.property(
      any,
      side,
      side,
      far,
      far,
      fc.boolean(),
      steps,
      fc.nat(),
      (value, width, height, x, y, coarse, step, n) => {
        const grips: Grip[] = ['angle', 'center', ...value.stops.keys()]
        const grip = grips[n % grips.length]!
        const after = [
          ledTo(value, grip, { width, height }, { x, y }, coarse),
          stepped(value, grip, step, coarse),
        ]
        for (const each of after) {
          expect(gradientPaint.safeParse(each).error).toBeUndefined()
          expect(places(each)).toEqual(places(each).toSorted((a, b) => a - b))
        }
      },
    ),
  )
})

test('a stop takes whole per cents', () => {
  expect(places(withStopAt(linear, 1, 33.4))).toEqual([0, 33, 100])
})
