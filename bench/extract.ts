import { extractPalette, MmcqQuantizer, validateOptions } from 'colorthief/internals'
import { difference, fromBytes, fromOklch, mapToGamut, type Color } from '@/core/color'
import { extractColors, seededRandom, type Pixels } from '@/core/palette'
import { median } from './browser'

const [WIDTH, HEIGHT, COLORS, PICTURES, ROUNDS] = [4000, 3000, 6, 8, 3]

/** Six colours far enough apart to be told, the last of them a small accent. */
function truth(random: () => number): Color[] {
  const colors: Color[] = []
  while (colors.length < COLORS) {
    const color = mapToGamut(
      fromOklch({
        l: 0.15 + random() * 0.82,
        c: random() * 0.2,
        h: random() * 360,
        alpha: 1,
      }),
    )
    if (colors.every((other) => difference(other, color) > 18)) colors.push(color)
  }
  return colors
}

/** A picture of 12 megapixels: patches of the six colours in unequal shares, noise of ±14 on every channel. */
function picture(colors: readonly Color[], random: () => number): Pixels {
  const data = new Uint8ClampedArray(WIDTH * HEIGHT * 4)
  const shares = [0.34, 0.58, 0.76, 0.89, 0.975, 1]
  const across = 40
  const patches = Array.from({ length: across * 30 }, () => {
    const at = random()
    return colors[shares.findIndex((share) => at < share)]!
  })
  // Noise is drawn from a table: twelve million calls of the generator are not what is measured.
  const noise = Int8Array.from({ length: 65_521 }, () => (random() + random() - 1) * 14)
  for (let y = 0, i = 0, n = 0; y < HEIGHT; y += 1) {
    for (let x = 0; x < WIDTH; x += 1, i += 4, n += 3) {
      const color = patches[Math.floor(y / 100) * across + Math.floor(x / 100)]!
      data[i] = color.r * 255 + noise[n % 65_521]!
      data[i + 1] = color.g * 255 + noise[(n + 1) % 65_521]!
      data[i + 2] = color.b * 255 + noise[(n + 2) % 65_521]!
      data[i + 3] = 255
    }
  }
  return { data, width: WIDTH, height: HEIGHT }
}

/** Mean CIEDE2000 from each true colour to the nearest one found. */
function miss(known: readonly Color[], found: readonly Color[]): number {
  const nearest = known.map((color) => Math.min(...found.map((each) => difference(each, color))))
  return nearest.reduce((sum, each) => sum + each, 0) / known.length
}

const ours = (pixels: Pixels) => extractColors(pixels, COLORS).map(({ color }) => color)

const theirs = ({ data, width, height }: Pixels) =>
  (
    extractPalette(
      data as Uint8ClampedArray,
      width,
      height,
      validateOptions({ colorCount: COLORS }),
      new MmcqQuantizer(),
    ) ?? []
  ).map((color) => {
    const { r, g, b } = color.rgb()
    return fromBytes([r, g, b])
  })

function timed<T>(work: () => T): readonly [result: T, ms: number] {
  const start = performance.now()
  const result = work()
  return [result, performance.now() - start]
}

/** Six colours out of 12 megapixels, decode excluded: time and closeness against the common library. */
export function benchExtraction(): void {
  console.log(
    `\nSix colours out of ${PICTURES} made-up pictures of 12 megapixels, decode excluded (median of ${ROUNDS} runs each)`,
  )
  console.log('                 ms    mean ΔE00 to the true colours')
  const random = seededRandom(20_261_125)
  const times: Record<'ours' | 'theirs', number[]> = { ours: [], theirs: [] }
  const misses: Record<'ours' | 'theirs', number[]> = { ours: [], theirs: [] }
  for (let n = 0; n < PICTURES; n += 1) {
    const known = truth(random)
    const pixels = picture(known, random)
    for (const [who, work] of Object.entries({ ours, theirs }) as Array<
      ['ours' | 'theirs', (pixels: Pixels) => Color[]]
    >) {
      const runs = Array.from({ length: ROUNDS }, () => timed(() => work(pixels)))
      times[who].push(median(runs.map(([, ms]) => ms)))
      misses[who].push(miss(known, runs[0]![0]))
    }
  }
  const mean = (values: readonly number[]) => values.reduce((a, b) => a + b) / values.length
  const row = (name: string, who: 'ours' | 'theirs') =>
    console.log(
      `${name.padEnd(12)}${median(times[who]).toFixed(1).padStart(8)}${mean(misses[who]).toFixed(2).padStart(10)}`,
    )
  row('ours', 'ours')
  row('colorthief', 'theirs')
  console.log(
    `ratio       ${(median(times.ours) / median(times.theirs)).toFixed(2).padStart(8)}${(mean(misses.ours) / mean(misses.theirs)).toFixed(2).padStart(10)}`,
  )
}
