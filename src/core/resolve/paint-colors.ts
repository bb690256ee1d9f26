import { mix, over, type Color } from '../color'
import {
  laid,
  shownIn,
  stretchesIn,
  within,
  type Point,
  type Rect,
  type Size,
  type Stretch,
} from '../geometry'
import { isColor, type GradientPaint, type Paint, type PicturePaint } from '../site'
import { decisionColor, type Slots } from './decision'

/** A picture as it is sampled to find what lies under words. */
export interface SampledPicture {
  /** Its own size, in CSS pixels. */
  readonly size: Size
  /** The point of it that stays in sight where a paint names none, in per cent. */
  readonly position: Point
  /** The colours of a part of it, given as shares 0…1 of its sides: enough of them that no other reads worse. */
  readonly colorsIn: (part: Rect) => readonly Color[]
}

/** Where something stands on a ground. */
export interface Place {
  /** The box that the ground fills, in CSS pixels. */
  readonly box: Size
  /** What stands on it, from the upper left of the box. */
  readonly rects: readonly Rect[]
  /** A picture by its id; nothing while it is not there yet. */
  readonly pictureOf: (id: string) => SampledPicture | undefined
}

/** Steps from one stop of a gradient to the next: fine enough that nothing between them reads otherwise. */
const STEPS = 16

interface Segment extends Stretch {
  readonly colors: readonly [Color, Color]
}

/**
 * A gradient from stop to stop, as shares of its length; before the first and after the last one
 * their colours go on. A stop before an earlier one stands where that one does (CSS Images 4, 3.5.3).
 */
function segmentsOf(palette: Slots, { stops }: GradientPaint): Segment[] {
  let reached = 0
  const fixed = stops.map(({ at, color }) => {
    reached = Math.max(reached, at / 100)
    return { at: reached, color: decisionColor(palette, color) }
  })
  const [first, last] = [fixed[0]!, fixed.at(-1)!]
  const between = fixed.slice(1).map((next, i): Segment => ({
    from: fixed[i]!.at,
    to: next.at,
    colors: [fixed[i]!.color, next.color],
  }))
  return [
    { from: -Infinity, to: first.at, colors: [first.color, first.color] },
    ...between,
    { from: last.at, to: Infinity, colors: [last.color, last.color] },
  ]
}

/** The colours of a gradient within a stretch of it, in the space that it mixes in; both ends are among them. */
function colorsAlong(palette: Slots, paint: GradientPaint, { from, to }: Stretch): Color[] {
  const { space = 'srgb' } = paint
  return segmentsOf(palette, paint).flatMap((segment) => {
    const [begin, end] = [Math.max(from, segment.from), Math.min(to, segment.to)]
    if (begin > end) return []
    const [a, b] = segment.colors
    const length = segment.to - segment.from
    if (a === b || !length || !Number.isFinite(length)) return begin < end || a === b ? [a] : [a, b]
    const steps = begin === end ? 0 : STEPS
    return Array.from({ length: steps + 1 }, (_, step) => {
      const at = begin + ((end - begin) * step) / (steps || 1)
      return mix(a, b, (at - segment.from) / length, space)
    })
  })
}

/** The colour of a gradient at a share of its length; where two stops are at one place, that of the earlier one. */
export const colorAlong = (palette: Slots, paint: GradientPaint, at: number): Color =>
  colorsAlong(palette, paint, { from: at, to: at })[0]!

const ALL: Stretch = { from: 0, to: 1 }

/** What a picture shows where something stands: its own colours over what is under it; nothing where it is not there to be looked at. */
function sampled(palette: Slots, paint: PicturePaint, place: Place): Color[] | undefined {
  const picture = place.pictureOf(paint.picture)
  if (!picture) return undefined
  const under = decisionColor(palette, paint.under)
  const way = { fit: paint.fit ?? 'cover', position: paint.position ?? picture.position } as const
  const lies = laid(way, picture.size, place.box)
  return place.rects.flatMap((rect) => {
    const { parts, bare } = shownIn(lies, rect)
    const seen = parts.flatMap((part) => picture.colorsIn(part)).map((each) => over(each, under))
    return bare ? [...seen, under] : seen
  })
}

/**
 * The colours that a paint shows: one for a plain colour, for a gradient its
 * stops and those between them, for a picture what is under it, seen through its
 * tint. Where it is known what stands on it and where, only those that lie there.
 */
export function paintColors(palette: Slots, paint: Paint, place?: Place): Color[] {
  if (isColor(paint)) return [decisionColor(palette, paint)]
  const known = place && {
    ...place,
    rects: place.rects.flatMap((rect) => within(rect, place.box) ?? []),
  }
  const onIt = known?.rects.length ? known : undefined
  if ('gradient' in paint) {
    const stretches = onIt?.rects.flatMap((rect) => stretchesIn(paint, onIt.box, rect)) ?? [ALL]
    return stretches.flatMap((stretch) => colorsAlong(palette, paint, stretch))
  }
  const seen = (onIt && sampled(palette, paint, onIt)) ?? [decisionColor(palette, paint.under)]
  const { tint } = paint
  if (!tint) return seen
  const color = decisionColor(palette, tint)
  return seen.map((each) => over(color, each))
}
