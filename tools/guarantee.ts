import { colorOf, fromBytes, toBytes, type Color } from '@/core/color'
import { seededRandom } from '@/core/palette'
import { themeGenerator, usefulGrounds, type PaletteColor } from '@/core/theme'
import { themeFaults } from '@/core/theme/reference.fixture'

/**
 * Every pair that meets, in every theme of 10,000 random palettes of 1 to 64
 * slots, by a reference library's contrast; with it that muted words never read
 * stronger than text, and that buttons are told from their ground. Colours are
 * written in many notations, beyond sRGB too, some of them see-through. Every
 * third palette is the one before with one slot dragged on, or rounded to what
 * it paints: what was computed before must not matter. Usage:
 * `guarantee COUNT SEED`; one seed gives one set of palettes.
 */
const [count = 10_000, seed = 1] = process.argv.slice(2).map(Number)
const random = seededRandom(seed)
const byte = () => Math.floor(random() * 256) / 255
const of = (most: number) => (random() * most).toFixed(4)
const alpha = () => (random() < 0.1 ? of(1) : '1')

const notations: ReadonlyArray<() => string> = [
  () => `color(display-p3 ${of(1)} ${of(1)} ${of(1)} / ${alpha()})`,
  () => `color(rec2020 ${of(1)} ${of(1)} ${of(1)} / ${alpha()})`,
  () => `oklch(${of(1)} ${of(0.4)} ${of(360)} / ${alpha()})`,
  () => `hsl(${of(360)} ${of(100)}% ${of(100)}% / ${alpha()})`,
]

function anyColor(): Color {
  const write = random() < 0.5 ? notations[Math.floor(random() * notations.length)] : undefined
  if (write) return colorOf(write())!
  return { r: byte(), g: byte(), b: byte(), alpha: random() < 0.1 ? byte() : 1 }
}

function anyPalette(): PaletteColor[] {
  // Small palettes are the likelier ones, and the harder ones.
  const size = random() < 0.7 ? 1 + Math.floor(random() * 10) : 1 + Math.floor(random() * 64)
  const first = random() < 0.15 ? anyColor() : undefined
  const near = (channel: number) => channel + (random() - 0.5) / 20
  return Array.from({ length: size }, (_, i) => ({
    id: `s${i}`,
    color: first ? { r: near(first.r), g: near(first.g), b: near(first.b), alpha: 1 } : anyColor(),
  }))
}

/** The palette before with one slot moved by less than a byte, or all of them rounded to bytes. */
function movedOn(palette: readonly PaletteColor[]): PaletteColor[] {
  if (random() < 0.5)
    return palette.map(({ id, color }) => ({ id, color: fromBytes(toBytes(color), color.alpha) }))
  const moved = Math.floor(random() * palette.length)
  const nudge = (channel: number) => channel + (random() - 0.5) / 300
  return palette.map(({ id, color }, i) =>
    i === moved
      ? { id, color: { ...color, r: nudge(color.r), g: nudge(color.g), b: nudge(color.b) } }
      : { id, color },
  )
}

let themes = 0
const failing: string[] = []
let palette = anyPalette()
for (let n = 0; n < count && failing.length < 5; n += 1) {
  palette = n % 3 === 2 ? movedOn(palette) : anyPalette()
  const generate = themeGenerator(palette)
  for (const { decision, color } of usefulGrounds(palette)) {
    themes += 1
    const faults = themeFaults(palette, generate(decision, color))
    if (faults.length) failing.push(`palette ${n} of seed ${seed}: ${faults.join('; ')}`)
  }
}
console.log(
  `${count} palettes of seed ${seed}, ${themes} themes, ${failing.length} with a pair that fails`,
)
for (const line of failing) console.log(line)
process.exitCode = failing.length ? 1 : 0
