import type { Triple } from './color'

export type Matrix = readonly [Triple, Triple, Triple]

export function multiply(m: Matrix, v: Triple): Triple {
  const row = (r: Triple) => r[0] * v[0] + r[1] * v[1] + r[2] * v[2]
  return [row(m[0]), row(m[1]), row(m[2])]
}

/** The inverse of a 3×3 matrix by cofactors, so that a space needs to state one direction only. */
export function invert(m: Matrix): Matrix {
  const [[a, b, c], [d, e, f], [g, h, i]] = m
  const [p, q, r] = [e * i - f * h, f * g - d * i, d * h - e * g]
  const determinant = a * p + b * q + c * r
  const over = (value: number) => value / determinant
  return [
    [over(p), over(c * h - b * i), over(b * f - c * e)],
    [over(q), over(a * i - c * g), over(c * d - a * f)],
    [over(r), over(b * g - a * h), over(a * e - b * d)],
  ]
}
