import fc from 'fast-check'
import { laid, shownIn, type PictureWay } from './picture'

const size = { width: 400, height: 200 }
const box = { width: 600, height: 600 }
const way = (fit: PictureWay['fit'], x = 50, y = 50): PictureWay => ({ fit, position: { x, y } })

describe('a picture in its box (CSS Backgrounds 3)', () => {
  test('covers it, cut on both sides alike', () => {
    expect(laid(way('cover'), size, box)).toEqual({
      x: -300,
      y: 0,
      width: 1200,
      height: 600,
      repeats: false,
    })
  })

  test('stands in it whole; a per cent of it lies on the same per cent of the box', () => {
    expect(laid(way('contain', 50, 0), size, box)).toMatchObject({ x: 0, y: 0, height: 300 })
    expect(laid(way('contain', 50, 100), size, box)).toMatchObject({ y: 300 })
    expect(laid(way('repeat', 25, 75), size, box)).toEqual({
      x: 50,
      y: 300,
      width: 400,
      height: 200,
      repeats: true,
    })
  })

  test('where it does not reach, what is under it shows', () => {
    const lies = laid(way('contain', 50, 0), size, box)
    expect(shownIn(lies, { x: 0, y: 0, width: 300, height: 150 })).toEqual({
      parts: [{ x: 0, y: 0, width: 0.5, height: 0.5 }],
      bare: false,
    })
    expect(shownIn(lies, { x: 0, y: 200, width: 300, height: 200 }).bare).toBe(true)
    expect(shownIn(lies, { x: 0, y: 400, width: 300, height: 100 })).toEqual({
      parts: [],
      bare: true,
    })
  })
})

test('a repeated picture leaves nothing bare, and all its parts together are as large as what they cover', () => {
  const share = fc.double({ min: 0.01, max: 0.99, noNaN: true })
  const side = fc.integer({ min: 20, max: 900 })
  fc.assert(
    fc.property(side, side, share, share, share, share, (width, height, x, y, w, h) => {
      const picture = { width, height }
      const lies = laid(way('repeat', x * 100, y * 100), picture, box)
      const rect = { x: x * 300, y: y * 300, width: w * 300, height: h * 300 }
      const { parts, bare } = shownIn(lies, rect)
      expect(bare).toBe(false)
      const area = parts.reduce((sum, part) => sum + part.width * part.height, 0)
      expect(area * width * height).toBeCloseTo(rect.width * rect.height, 3)
      for (const part of parts) {
        expect(part.x).toBeGreaterThanOrEqual(0)
        expect(part.x + part.width).toBeLessThanOrEqual(1 + 1e-9)
      }
    }),
  )
})
