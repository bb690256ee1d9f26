/** Runs in the page of the measurement, bundled as the application is. */
import wcagContrast from 'wcag-contrast'
import { fromOklch, toBytes } from '@/core/color'
import { themeGenerator, usefulGrounds, type PaletteColor } from '@/core/theme'

function paletteOf(count: number, drag: number): PaletteColor[] {
  return Array.from({ length: count }, (_, i) => {
    const dragged = i === Math.floor(count / 3)
    const l = 0.97 - (0.85 * i) / count
    const color = dragged
      ? fromOklch({ l: 0.35 + (drag % 100) / 300, c: 0.11, h: (drag * 7) % 360, alpha: 1 })
      : fromOklch({ l, c: i % 3 ? 0.09 : 0.012, h: (i * 47) % 360, alpha: 1 })
    return { id: `s${i}`, color }
  })
}

const TIMES = 20

function timed(work: () => void): number {
  const start = performance.now()
  work()
  return performance.now() - start
}

export function run(slots: number): { ours: number[]; pairs: number[] } {
  const ours: number[] = []
  const pairs: number[] = []
  for (let drag = 0; drag < 360; drag += 1) {
    const palette = paletteOf(slots, drag)
    const took = timed(() => {
      const generate = themeGenerator(palette)
      for (const { decision, color } of usefulGrounds(palette)) generate(decision, color)
    })
    const bytes = palette.map(({ color }) => toBytes(color))
    // Many times over: once is too short for the browser's clock.
    const reference = timed(() => {
      for (let n = 0; n < TIMES; n += 1) {
        for (const a of bytes) for (const b of bytes) wcagContrast.rgb([...a], [...b])
      }
    })
    if (drag >= 60) {
      ours.push(took)
      pairs.push(reference / TIMES)
    }
  }
  return { ours, pairs }
}
