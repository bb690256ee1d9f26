import fc from 'fast-check'
import wcagContrast from 'wcag-contrast'
import { contrast, fromBytes, toBytes, writeHex, type Color } from '../color'
import type { GradientPaint, PicturePaint } from '../site'
import { colorAlong, paintColors, type Place } from './paint-colors'
import { samplePicture } from './sampled-picture'

const none = { slots: {} }
const stop = (at: number, value: string) => ({ at, color: { value } })
const greys: GradientPaint = {
  gradient: 'linear',
  angle: 90,
  stops: [stop(0, '#000000'), stop(100, '#ffffff')],
}
const box = { width: 200, height: 100 }
const placeIn = (x: number, width: number, pictureOf: Place['pictureOf'] = () => undefined) => ({
  box,
  rects: [{ x, y: 10, width, height: 20 }],
  pictureOf,
})
const hexes = (colors: readonly Color[]) => colors.map((each) => writeHex(each))

describe('a gradient', () => {
  test('shows all of its colours, or those where something stands', () => {
    const all = hexes(paintColors(none, greys))
    expect(all).toEqual(expect.arrayContaining(['#000000', '#ffffff']))
    const there = paintColors(none, greys, placeIn(100, 50)).map(({ r }) => r)
    expect(Math.min(...there)).toBeCloseTo(0.5, 6)
    expect(Math.max(...there)).toBeCloseTo(0.75, 6)
  })

  test('goes on before its first and after its last stop', () => {
    const middle = { ...greys, stops: [stop(40, '#000000'), stop(60, '#ffffff')] }
    expect(hexes(paintColors(none, middle, placeIn(0, 60)))).toEqual(['#000000'])
    expect(hexes(paintColors(none, middle, placeIn(150, 50)))).toEqual(['#ffffff'])
  })

  test('where two stops stand at one place both colours are seen; a stop before an earlier one stands where that does', () => {
    const hard = {
      ...greys,
      stops: [stop(0, '#000000'), stop(50, '#000000'), stop(50, '#ffffff'), stop(20, '#ff0000')],
    }
    const seen = hexes(paintColors(none, hard, placeIn(90, 20)))
    expect(seen).toEqual(expect.arrayContaining(['#000000', '#ff0000']))
    expect(writeHex(colorAlong(none, hard, 0.49))).toBe('#000000')
    expect(writeHex(colorAlong(none, hard, 0.51))).toBe('#ff0000')
  })

  test('what stands beside its box stands anywhere', () => {
    expect(paintColors(none, greys, placeIn(900, 20))).toEqual(paintColors(none, greys))
  })

  test('all stops at one place, and one that fills nothing, are no trouble', () => {
    const flat = { ...greys, stops: [stop(30, '#123456'), stop(30, '#abcdef')] }
    expect(hexes(paintColors(none, flat))).toEqual(expect.arrayContaining(['#123456', '#abcdef']))
    const nowhere = { box: { width: 0, height: 0 }, rects: [], pictureOf: () => undefined }
    expect(paintColors(none, greys, nowhere).length).toBeGreaterThan(2)
  })
})

describe('a picture', () => {
  // Left half black, right half white.
  const data = new Uint8ClampedArray(
    Array.from({ length: 20 * 10 }, (_, i) =>
      i % 20 < 10 ? [0, 0, 0, 255] : [255, 255, 255, 255],
    ).flat(),
  )
  const halves = samplePicture(
    { width: 200, height: 100 },
    { x: 50, y: 50 },
    { width: 20, height: 10, data },
  )
  const paint = { picture: 'halves', under: { value: '#808080' } } as unknown as PicturePaint
  const there = (x: number, width: number, of = paint) =>
    hexes(
      paintColors(
        none,
        of,
        placeIn(x, width, () => halves),
      ),
    )

  test('shows what of it lies where something stands', () => {
    expect(there(0, 100)).toEqual(['#000000'])
    expect(there(100, 100)).toEqual(['#ffffff'])
    expect(there(50, 100).sort()).toEqual(['#000000', '#ffffff'])
  })

  test('shows what is under it while it is not there, and where it does not reach', () => {
    expect(hexes(paintColors(none, paint, placeIn(0, 100)))).toEqual(['#808080'])
    const whole = { ...paint, fit: 'contain', position: { x: 0, y: 0 } } as PicturePaint
    const wide = {
      box: { width: 400, height: 100 },
      rects: [{ x: 150, y: 0, width: 100, height: 50 }],
      pictureOf: () => halves,
    }
    expect(hexes(paintColors(none, whole, wide)).sort()).toEqual(['#808080', '#ffffff'])
  })

  test('is seen through its tint', () => {
    const tinted = { ...paint, tint: { value: 'rgb(0 0 0 / 60%)' } }
    expect(there(100, 100, tinted)).toEqual(['#666666'])
  })
})

test('of any picture, the colours that are kept tell the worst contrast of any text (wcag-contrast)', () => {
  const byte = fc.nat(255)
  const pixel = fc.tuple(byte, byte, byte)
  fc.assert(
    fc.property(fc.array(pixel, { minLength: 1, maxLength: 400 }), pixel, (pixels, text) => {
      const data = new Uint8ClampedArray(pixels.flatMap((each) => [...each, 255]))
      const size = { width: pixels.length, height: 1 }
      const kept = samplePicture(size, { x: 50, y: 50 }, { ...size, data }).colorsIn({
        x: 0,
        y: 0,
        width: 1,
        height: 1,
      })
      const color = fromBytes(text)
      const told = Math.min(...kept.map((each) => contrast(color, each)))
      const real = Math.min(...pixels.map((each) => wcagContrast.rgb(text, each)))
      const bytes = kept.map((each) => [...toBytes(each)].join())
      expect(pixels.map((each) => each.join())).toEqual(expect.arrayContaining(bytes))
      // Where it would read well enough for anything it is exact; else it is far from that.
      if (real >= 1.5) expect(told).toBeCloseTo(real, 6)
      else expect(told).toBeLessThan(1.8)
    }),
  )
})
