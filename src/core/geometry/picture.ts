import type { PicturePaint } from '../site'
import { within, type Point, type Rect, type Size } from './box'

/** How a picture fills what it stands in: as it is painted, with a point of it, in per cent, that stays in sight. */
export interface PictureWay {
  readonly fit: NonNullable<PicturePaint['fit']>
  readonly position: Point
}

/** A picture in its box, in CSS pixels: where its first copy lies, and whether it goes on on all sides. */
export interface Laid extends Rect {
  readonly repeats: boolean
}

/** How much larger than itself a picture is shown: so that it covers its box, lies in it whole, or as it is. */
function scaleOf(fit: PictureWay['fit'], picture: Size, box: Size): number {
  const [across, down] = [box.width / picture.width, box.height / picture.height]
  return fit === 'cover' ? Math.max(across, down) : fit === 'contain' ? Math.min(across, down) : 1
}

/**
 * Where a picture lies in its box (CSS Backgrounds 3, 2.6 and 2.9): a per cent of the picture stands
 * on the same per cent of the box.
 */
export function laid({ fit, position }: PictureWay, picture: Size, box: Size): Laid {
  const scale = scaleOf(fit, picture, box)
  const [width, height] = [picture.width * scale, picture.height * scale]
  return {
    x: (box.width - width) * (position.x / 100),
    y: (box.height - height) * (position.y / 100),
    width,
    height,
    repeats: fit === 'repeat',
  }
}

/** The copies of a picture that touch a span, by where each begins. */
function copies(begin: number, length: number, from: number, to: number): number[] {
  const first = begin + Math.floor((from - begin) / length) * length
  const count = Math.max(0, Math.ceil((to - first) / length))
  return Array.from({ length: count }, (_, i) => first + i * length)
}

/** What shows of a picture within a rectangle of its box. */
export interface Shown {
  /** The parts of the picture, as shares 0…1 of its sides. */
  readonly parts: readonly Rect[]
  /** Whether what lies under the picture shows as well. */
  readonly bare: boolean
}

export function shownIn(lies: Laid, rect: Rect): Shown {
  const begins = lies.repeats
    ? copies(lies.x, lies.width, rect.x, rect.x + rect.width).flatMap((x) =>
        copies(lies.y, lies.height, rect.y, rect.y + rect.height).map((y) => ({ x, y })),
      )
    : [lies]
  const parts = begins.flatMap(({ x, y }) => {
    const part = within({ ...rect, x: rect.x - x, y: rect.y - y }, lies)
    return part
      ? [
          {
            x: part.x / lies.width,
            y: part.y / lies.height,
            width: part.width / lies.width,
            height: part.height / lies.height,
          },
        ]
      : []
  })
  const covered = parts.reduce((sum, { width, height }) => sum + width * height, 0)
  const wanted = (rect.width * rect.height) / (lies.width * lies.height)
  return { parts, bare: covered < wanted * (1 - 1e-9) }
}
