import { box, chance, disc, HEIGHT, line, ring, shape, times, turned, WIDTH } from './shapes'
import type { Drawing, DrawingColors } from './drawing'

const some = ({ soft, mid, strong, deep }: DrawingColors, i: number) =>
  [strong, soft, deep, mid][i % 4]!

/** Nothing but colours and shapes. */
export const patterns: readonly Drawing[] = [
  {
    id: 'arches',
    alt: 'Arches in rows',
    draw: (c) =>
      box(0, 0, WIDTH, HEIGHT, c.pale) +
      times(12, (i) => {
        const [x, y] = [(i % 4) * 200 + 100, Math.floor(i / 4) * 200 + 200]
        return [90, 62, 34]
          .map((r, k) => shape(`M${x - r} ${y}v-60a${r} ${r} 0 0 1 ${r * 2} 0v60z`, some(c, i + k)))
          .join('')
      }),
  },
  {
    id: 'tiles',
    alt: 'Tiles with quarter circles',
    draw: (c) =>
      times(48, (i) => {
        const [x, y] = [(i % 8) * 100, Math.floor(i / 8) * 100]
        const at = (i * 7) % 4
        return (
          box(x, y, 100, 100, some(c, i * 3 + 1)) +
          turned(
            at * 90,
            x + 50,
            y + 50,
            shape(`M${x} ${y}h100a100 100 0 0 1-100 100z`, (i * 5) % 3 ? c.pale : some(c, i + 2)),
          )
        )
      }),
  },
  {
    id: 'terrazzo',
    alt: 'Terrazzo chips',
    draw: (c) => {
      const next = chance(3)
      return (
        box(0, 0, WIDTH, HEIGHT, c.pale) +
        times(90, (i) => {
          const [x, y, r] = [next() * WIDTH, next() * HEIGHT, 10 + next() * 34]
          return turned(
            next() * 360,
            x,
            y,
            shape(
              `M${x - r} ${y}l${r} ${-r * 0.7} ${r} ${r * 0.4} ${-r * 0.4} ${r * 0.8}z`,
              some(c, i),
            ),
          )
        })
      )
    },
  },
  {
    id: 'confetti',
    alt: 'Confetti in the air',
    draw: (c) => {
      const next = chance(11)
      return (
        box(0, 0, WIDTH, HEIGHT, c.ink) +
        times(120, (i) => {
          const [x, y] = [next() * WIDTH, next() * HEIGHT]
          const fill = i % 5 ? some(c, i) : c.pale
          return i % 3
            ? turned(next() * 180, x, y, box(x, y, 26, 10, fill, 3))
            : disc(x, y, 8, fill)
        })
      )
    },
  },
  {
    id: 'rings',
    alt: 'Rings that overlap',
    draw: (c) =>
      box(0, 0, WIDTH, HEIGHT, c.soft) +
      times(15, (i) =>
        ring((i % 5) * 180 + 40, Math.floor(i / 5) * 240 + 60, 130, some(c, i + 2), 26),
      ),
  },
  {
    id: 'weave',
    alt: 'A woven band',
    draw: (c) =>
      box(0, 0, WIDTH, HEIGHT, c.deep) +
      times(8, (i) => box(0, 20 + i * 74, WIDTH, 44, i % 2 ? c.strong : c.mid)) +
      times(10, (i) =>
        times(8, (k) => ((i + k) % 2 ? box(20 + i * 80, 20 + k * 74 - 14, 44, 72, c.soft) : '')),
      ),
  },
  {
    id: 'strokes',
    alt: 'Broad strokes of paint',
    draw: (c) =>
      box(0, 0, WIDTH, HEIGHT, c.pale) +
      times(7, (i) =>
        line(
          `M${-40 + i * 40} ${80 + i * 74}c200-${90 - i * 8} 420 ${70 - i * 6} ${760 - i * 60} -10`,
          some(c, i),
          54,
        ),
      ),
  },
]
