import { angleTowards, placeAlong, type Point, type Size } from '@/core/geometry'
import type { GradientPaint } from '@/core/site'
import type { Steps } from '../kit'

/** What of a gradient can be taken hold of on the page: a stop by its number, its angle, its centre. */
export type Grip = number | 'angle' | 'center'

const rounded = (value: number, low: number, high: number) =>
  Math.round(Math.min(high, Math.max(low, value)))

/** A stop at another place, in per cent; it stays between those beside it. */
export function withStopAt(value: GradientPaint, stop: number, at: number): GradientPaint {
  const { stops } = value
  const low = stops[stop - 1]?.at ?? 0
  const high = stops[stop + 1]?.at ?? 100
  return { ...value, stops: stops.with(stop, { ...stops[stop]!, at: rounded(at, low, high) }) }
}

const withCenter = (value: GradientPaint, { x, y }: Point): GradientPaint => ({
  ...value,
  center: { x: rounded(x, 0, 100), y: rounded(y, 0, 100) },
})

/** Once around ends where it begins: a stop that is led past its end stays there. */
function shareAt(value: GradientPaint, box: Size, point: Point, now: number): number {
  const share = placeAlong(value, box, point)
  if (value.gradient !== 'conic') return share
  const off = share - now
  return off > 0.5 ? 0 : off < -0.5 ? 1 : share
}

/** A gradient after something of it was led to a point of its box; angles go by 15° where that is asked for. */
export function ledTo(
  value: GradientPaint,
  grip: Grip,
  box: Size,
  point: Point,
  coarse: boolean,
): GradientPaint {
  if (grip === 'angle') {
    const angle = angleTowards(value, box, point)
    return { ...value, angle: coarse ? (Math.round(angle / 15) * 15) % 360 : angle }
  }
  if (grip === 'center') {
    return withCenter(value, { x: (point.x / box.width) * 100, y: (point.y / box.height) * 100 })
  }
  const now = value.stops[grip]!.at / 100
  return withStopAt(value, grip, shareAt(value, box, point, now) * 100)
}

/** A gradient after an arrow key on something of it: by 1 (per cent, degree), by 10 or 15° with Shift. */
export function stepped(
  value: GradientPaint,
  grip: Grip,
  [down, across]: Steps,
  coarse: boolean,
): GradientPaint {
  const by = coarse ? (grip === 'angle' ? 15 : 10) : 1
  if (grip === 'center') {
    const { x, y } = value.center ?? { x: 50, y: 50 }
    return withCenter(value, { x: x + across * by, y: y + down * by })
  }
  // To the right and up is more, as on any slider.
  const more = (across - down) * by
  if (grip === 'angle') return { ...value, angle: (value.angle + more + 360) % 360 }
  return withStopAt(value, grip, value.stops[grip]!.at + more)
}
