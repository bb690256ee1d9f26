import { themeGenerator, usefulGrounds } from '@/core/theme'
import { seededRandom } from '@/core/palette'
import { pairsThatFail } from '@/core/theme/reference.fixture'

/**
 * Every pair that meets, in every theme of 10,000 random palettes of 1 to 64
 * slots, some of them see-through, by a reference library's contrast. Usage:
 * `guarantee COUNT SEED`; one seed gives one set of palettes.
 */
const [count = 10_000, seed = 1] = process.argv.slice(2).map(Number)
const random = seededRandom(seed)
const byte = () => Math.floor(random() * 256) / 255

let themes = 0
const failing: string[] = []
for (let n = 0; n < count && failing.length < 5; n += 1) {
  // Small palettes are the likelier ones, and the harder ones.
  const size = random() < 0.7 ? 1 + Math.floor(random() * 10) : 1 + Math.floor(random() * 64)
  const alike = random() < 0.15
  const first = { r: byte(), g: byte(), b: byte(), alpha: 1 }
  const near = (channel: number) => Math.min(1, Math.max(0, channel + (random() - 0.5) / 20))
  const palette = Array.from({ length: size }, (_, i) => ({
    id: `s${i}`,
    color: alike
      ? { r: near(first.r), g: near(first.g), b: near(first.b), alpha: 1 }
      : { r: byte(), g: byte(), b: byte(), alpha: random() < 0.1 ? byte() : 1 },
  }))
  const generate = themeGenerator(palette)
  for (const { decision, color } of usefulGrounds(palette)) {
    themes += 1
    const pairs = pairsThatFail(palette, generate(decision, color))
    if (pairs.length) failing.push(`palette ${n} of seed ${seed}: ${pairs.join('; ')}`)
  }
}
console.log(
  `${count} palettes of seed ${seed}, ${themes} themes, ${failing.length} with a pair that fails`,
)
for (const line of failing) console.log(line)
process.exitCode = failing.length ? 1 : 0
