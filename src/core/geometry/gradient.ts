import type { GradientPaint } from '../site'
import { centerOf, cornersOf, nearestIn, type Point, type Rect, type Size } from './box'

/** Which way a gradient goes: what of it says where a colour lies in a box. */
export type GradientWay = Pick<GradientPaint, 'gradient' | 'angle' | 'center'>

/** The way from one place of a gradient to another, as shares of its length: 0 where it begins, 1 where it ends. */
export interface Stretch {
  readonly from: number
  readonly to: number
}

const inRadians = (degrees: number) => (degrees * Math.PI) / 180

/** The unit vector of an angle as CSS has it: 0° goes up, 90° to the right. */
const towards = (degrees: number): Point => ({
  x: Math.sin(inRadians(degrees)),
  y: -Math.cos(inRadians(degrees)),
})

/** The centre of a radial or conic gradient; the middle of the box where none is given. */
export const gradientCenter = ({ center }: GradientWay, box: Size): Point => ({
  x: ((center?.x ?? 50) / 100) * box.width,
  y: ((center?.y ?? 50) / 100) * box.height,
})

/**
 * Length of the gradient line of a linear gradient, in CSS pixels: such that the corners that it
 * points to have exactly the colours of its ends (CSS Images 4, 3.1.1: |w·sin a| + |h·cos a|).
 */
function lineLength({ angle }: GradientWay, { width, height }: Size): number {
  const { x, y } = towards(angle)
  return Math.abs(width * x) + Math.abs(height * y)
}

/**
 * Radii of a radial gradient that ends in an ellipse through the farthest corner, in CSS pixels: its
 * sides are as those to the farthest sides (CSS Images 4, 3.2.1), √2 as long.
 */
export function endingRadii(way: GradientWay, box: Size): Point {
  const { x, y } = gradientCenter(way, box)
  return {
    x: Math.SQRT2 * Math.max(Math.abs(x), Math.abs(box.width - x)),
    y: Math.SQRT2 * Math.max(Math.abs(y), Math.abs(box.height - y)),
  }
}

const turn = (share: number) => ((share % 1) + 1) % 1

/**
 * Where along a gradient a point of its box lies, as a share of its length: 0 at its beginning, 1 at
 * its end; less or more beyond them for linear and radial ones, 0…1 once around for conic ones.
 */
export function placeAlong(way: GradientWay, box: Size, point: Point): number {
  if (way.gradient === 'linear') {
    const direction = towards(way.angle)
    const [dx, dy] = [point.x - box.width / 2, point.y - box.height / 2]
    return (dx * direction.x + dy * direction.y) / (lineLength(way, box) || 1) + 0.5
  }
  const center = gradientCenter(way, box)
  const [dx, dy] = [point.x - center.x, point.y - center.y]
  if (way.gradient === 'radial') {
    const radii = endingRadii(way, box)
    return Math.hypot(dx / (radii.x || 1), dy / (radii.y || 1))
  }
  return turn(Math.atan2(dx, -dy) / (2 * Math.PI) - way.angle / 360)
}

/** Radius of the ring on which the places of a conic gradient are shown, as a share of the shorter side. */
const RING = 0.4

/**
 * The point of a box that shows a place of a gradient: on the line of a linear one, on the ray to the
 * right of a radial one (to the left where its centre lies in the right half), on a ring around the
 * centre of a conic one.
 */
export function pointAlong(way: GradientWay, box: Size, share: number): Point {
  if (way.gradient === 'linear') {
    const direction = towards(way.angle)
    const along = (share - 0.5) * lineLength(way, box)
    return { x: box.width / 2 + direction.x * along, y: box.height / 2 + direction.y * along }
  }
  const center = gradientCenter(way, box)
  if (way.gradient === 'radial') {
    const side = center.x > box.width / 2 ? -1 : 1
    return { x: center.x + side * endingRadii(way, box).x * share, y: center.y }
  }
  const direction = towards(way.angle + share * 360)
  const radius = RING * Math.min(box.width, box.height)
  return { x: center.x + direction.x * radius, y: center.y + direction.y * radius }
}

/** The angle at which a linear gradient points from the middle of its box to a point, or a conic one begins at it; whole degrees, 0…359. */
export function angleTowards(way: GradientWay, box: Size, point: Point): number {
  const center =
    way.gradient === 'linear' ? { x: box.width / 2, y: box.height / 2 } : gradientCenter(way, box)
  const degrees = (Math.atan2(point.x - center.x, center.y - point.y) * 180) / Math.PI
  return Math.round((degrees + 360) % 360) % 360
}

/** Less than half a turn, to either side: where an angle lies as seen from another, in turns. */
const aside = (from: number, to: number) => turn(to - from + 0.5) - 0.5

/** The turns that a rectangle takes as seen from the centre of a conic gradient; all of them where the centre lies in it. */
function turnsOver(way: GradientWay, box: Size, rect: Rect): Stretch[] {
  const center = gradientCenter(way, box)
  const nearest = nearestIn(rect, center)
  if (nearest.x === center.x && nearest.y === center.y) return [{ from: 0, to: 1 }]
  // Seen from outside, a rectangle is less than half a turn wide.
  const middle = placeAlong(way, box, centerOf(rect))
  const sides = cornersOf(rect).map((corner) => aside(middle, placeAlong(way, box, corner)))
  const [from, to] = [middle + Math.min(...sides), middle + Math.max(...sides)]
  if (from < 0)
    return [
      { from: from + 1, to: 1 },
      { from: 0, to },
    ]
  if (to > 1)
    return [
      { from, to: 1 },
      { from: 0, to: to - 1 },
    ]
  return [{ from, to }]
}

/** All places of a gradient that show within a rectangle of its box: one stretch, two where a conic one begins in it. */
export function stretchesIn(way: GradientWay, box: Size, rect: Rect): Stretch[] {
  if (way.gradient === 'conic') return turnsOver(way, box, rect)
  const places = cornersOf(rect).map((corner) => placeAlong(way, box, corner))
  const nearest =
    way.gradient === 'radial'
      ? placeAlong(way, box, nearestIn(rect, gradientCenter(way, box)))
      : Infinity
  return [{ from: Math.min(nearest, ...places), to: Math.max(...places) }]
}
