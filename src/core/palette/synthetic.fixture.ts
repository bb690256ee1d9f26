import { toBytes, type Color } from '../color'
import type { Pixels } from './extract'
import { seededRandom } from './variations'

/** A made-up picture: upright bands of known colours with shares, and noise on every channel. */
export function syntheticPicture(
  bands: ReadonlyArray<readonly [color: Color, share: number]>,
  width: number,
  height: number,
  noise: number,
  seed: number,
): Pixels {
  const random = seededRandom(seed)
  const data = new Uint8ClampedArray(width * height * 4)
  const total = bands.reduce((sum, [, share]) => sum + share, 0)
  const row = Array.from({ length: width }, (_, x) => {
    let reach = 0
    const found = bands.find(([, share]) => (reach += (share / total) * width) > x)
    return toBytes((found ?? bands.at(-1)!)[0])
  })
  for (let y = 0, i = 0; y < height; y += 1) {
    for (let x = 0; x < width; x += 1, i += 4) {
      const shift = () => (random() + random() - 1) * noise
      data[i] = row[x]![0] + shift()
      data[i + 1] = row[x]![1] + shift()
      data[i + 2] = row[x]![2] + shift()
      data[i + 3] = 255
    }
  }
  return { data, width, height }
}
