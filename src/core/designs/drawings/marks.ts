import { contrast, parseColor } from '../../color'
import type { Drawing, DrawingColors } from './drawing'
import { box, disc, line, ring, shape, times, turned } from './shapes'

/** Side of a mark, in units; it is square. */
const SIDE = 160

/** The lightest or the darkest colour, whichever stands out more on the tile. */
function glyphOn({ strong, pale, ink }: DrawingColors): string {
  const [tile, light, dark] = [strong, pale, ink].map((text) => {
    const parsed = parseColor(text)
    return parsed.ok ? parsed.color : undefined
  })
  if (!tile || !light || !dark) return pale
  return contrast(light, tile) >= contrast(dark, tile) ? pale : ink
}

const mark = (
  id: string,
  alt: string,
  round: number,
  glyph: (color: string, tile: string) => string,
): Drawing => ({
  id,
  alt,
  size: [SIDE, SIDE],
  draw: (colors) =>
    box(0, 0, SIDE, SIDE, colors.strong, round) + glyph(glyphOn(colors), colors.strong),
})

/** Logos of ours: one glyph on a tile, to stand beside a name. */
export const marks: readonly Drawing[] = [
  mark(
    'mark-wheel',
    'A wheel',
    80,
    (color) =>
      ring(80, 80, 52, color, 12) +
      times(6, (i) => turned(i * 60, 80, 80, line('M80 80V34', color, 6))) +
      disc(80, 80, 12, color),
  ),
  mark('mark-still-water', 'Rings on water', 80, (color) =>
    [16, 36, 56].map((r) => ring(80, 86, r, color, 7)).join(''),
  ),
  mark(
    'mark-burst',
    'A burst of rays',
    0,
    (color) =>
      times(12, (i) => turned(i * 30, 80, 80, shape('M72 40 80 8 88 40z', color))) +
      disc(80, 80, 30, color),
  ),
  mark('mark-flame', 'A flame', 36, (color, tile) =>
    [
      shape(
        'M80 18c30 34 44 54 44 80a44 44 0 0 1-88 0c0-20 12-34 22-44 2 14 8 20 14 22-4-22 0-40 8-58z',
        color,
      ),
      shape('M80 92c12 12 18 20 18 30a18 18 0 0 1-36 0c0-10 6-18 18-30z', tile),
    ].join(''),
  ),
  mark('mark-sheet', 'A folded sheet', 0, (color) =>
    line('M42 32h52l24 24v72H42zM94 32v24h24', color, 9),
  ),
  mark(
    'mark-sprout',
    'A sprout',
    48,
    (color) =>
      line('M80 132V74', color, 10) +
      shape('M80 82c0-30 20-46 50-46 0 30-18 48-50 46z', color) +
      shape('M80 96c0-24-16-38-44-38 0 26 16 40 44 38z', color),
  ),
  mark(
    'mark-note',
    'A note',
    80,
    (color) =>
      line('M66 112V44l48-10v66', color, 10) + disc(54, 112, 15, color) + disc(102, 100, 15, color),
  ),
  mark('mark-ledger', 'Four lines in order', 20, (color) =>
    times(4, (i) => box(36, 36 + i * 24, 88 - i * 16, 12, color, 3)),
  ),
]
