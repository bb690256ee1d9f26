/** A point, in CSS pixels from the upper left of the box that it lies in. */
export interface Point {
  readonly x: number
  readonly y: number
}

export interface Size {
  readonly width: number
  readonly height: number
}

/** A rectangle, in CSS pixels from the upper left of the box that it lies in. */
export interface Rect extends Point, Size {}

export const centerOf = ({ x, y, width, height }: Rect): Point => ({
  x: x + width / 2,
  y: y + height / 2,
})

export const cornersOf = ({ x, y, width, height }: Rect): readonly Point[] => [
  { x, y },
  { x: x + width, y },
  { x: x + width, y: y + height },
  { x, y: y + height },
]

/** The part of a rectangle that lies in a box; nothing where none does. */
export function within({ x, y, width, height }: Rect, box: Size): Rect | undefined {
  const [left, top] = [Math.max(0, x), Math.max(0, y)]
  const [right, bottom] = [Math.min(box.width, x + width), Math.min(box.height, y + height)]
  if (right <= left || bottom <= top) return undefined
  return { x: left, y: top, width: right - left, height: bottom - top }
}

/** The point of a rectangle that lies nearest to another point. */
export const nearestIn = ({ x, y, width, height }: Rect, to: Point): Point => ({
  x: Math.min(x + width, Math.max(x, to.x)),
  y: Math.min(y + height, Math.max(y, to.y)),
})
