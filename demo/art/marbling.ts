import sharp from 'sharp'
import { seededRandom } from '@/core/palette'

/**
 * Marbled paper, computed: drops of ink that push each other aside, then combed.
 * Every operation on the bath has an exact inverse, so each pixel is followed
 * back to the drop it came from.
 */
type Point = readonly [number, number]
type Rgb = readonly [number, number, number]

interface Drop {
  readonly kind: 'drop'
  readonly at: Point
  readonly radius: number
  readonly color: Rgb
}
/** A comb drawn along `direction`; `reach` is how quickly its pull fades across the bath. */
interface Comb {
  readonly kind: 'comb'
  readonly direction: Point
  readonly offset: number
  readonly spacing: number
  readonly pull: number
  readonly reach: number
}
interface Wave {
  readonly kind: 'wave'
  readonly direction: Point
  readonly height: number
  readonly length: number
}
type Step = Drop | Comb | Wave

function hexToRgb(hex: string): Rgb {
  const n = parseInt(hex.slice(1), 16)
  return [n >> 16, (n >> 8) & 255, n & 255]
}

function back([x, y]: Point, step: Comb | Wave): Point {
  const [dx, dy] = step.direction
  const across = x * -dy + y * dx
  if (step.kind === 'wave') {
    const shift = step.height * Math.sin((across / step.length) * 2 * Math.PI)
    return [x - dx * shift, y - dy * shift]
  }
  const from = (((across - step.offset) % step.spacing) + step.spacing) % step.spacing
  const distance = Math.min(from, step.spacing - from)
  const shift = step.pull * step.reach ** distance
  return [x - dx * shift, y - dy * shift]
}

function colorAt(start: Point, steps: readonly Step[], ground: Rgb): Rgb {
  let [x, y] = start
  for (let i = steps.length - 1; i >= 0; i -= 1) {
    const step = steps[i]!
    if (step.kind !== 'drop') {
      ;[x, y] = back([x, y], step)
      continue
    }
    const [vx, vy] = [x - step.at[0], y - step.at[1]]
    const square = vx * vx + vy * vy
    const r2 = step.radius * step.radius
    if (square < r2) return step.color
    const scale = Math.sqrt(1 - r2 / square)
    x = step.at[0] + vx * scale
    y = step.at[1] + vy * scale
  }
  return ground
}

export interface Paper {
  readonly width: number
  readonly height: number
  readonly seed: number
  readonly ground: string
  /** Inks with how often each is taken. */
  readonly inks: ReadonlyArray<readonly [string, number]>
  readonly drops: number
  readonly combs: ReadonlyArray<Omit<Comb, 'kind'> | Omit<Wave, 'kind'>>
}

function stepsFor({ width, height, seed, inks, drops, combs }: Paper): Step[] {
  const random = seededRandom(seed)
  const bag = inks.flatMap(([ink, times]) => Array<Rgb>(times).fill(hexToRgb(ink)))
  const dropped = Array.from({ length: drops }, (_, i): Drop => {
    const color = bag[Math.floor(random() * bag.length)]!
    const radius = (0.05 + random() * 0.085) * width * (1 - (0.45 * i) / drops)
    return { kind: 'drop', at: [random() * width, random() * height], radius, color }
  })
  const combed = combs.map((comb): Step =>
    'spacing' in comb ? { kind: 'comb', ...comb } : { kind: 'wave', ...comb },
  )
  return [...dropped, ...combed]
}

/** The paper as pixels at twice the size, brought down so that edges are smooth. */
export async function marble(paper: Paper): Promise<Buffer> {
  const { width, height, ground } = paper
  const steps = stepsFor(paper)
  const base = hexToRgb(ground)
  const fine = 2
  const pixels = Buffer.alloc(width * fine * height * fine * 3)
  const random = seededRandom(paper.seed + 7)
  let at = 0
  for (let y = 0; y < height * fine; y += 1) {
    for (let x = 0; x < width * fine; x += 1) {
      const color = colorAt([x / fine, y / fine], steps, base)
      const grain = (random() - 0.5) * 9
      for (let c = 0; c < 3; c += 1) pixels[at++] = Math.max(0, Math.min(255, color[c]! + grain))
    }
  }
  return sharp(pixels, { raw: { width: width * fine, height: height * fine, channels: 3 } })
    .resize(width, height)
    .png()
    .toBuffer()
}
