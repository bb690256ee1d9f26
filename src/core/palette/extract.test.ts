import { colorOf, difference } from '../color'
import { extractColors } from './extract'
import { syntheticPicture } from './synthetic.fixture'

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
