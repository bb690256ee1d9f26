import type { Color } from './color'
import { toLab, type Lab } from './lab'

const rad = (degrees: number) => (degrees * Math.PI) / 180
const POW25_7 = 25 ** 7

function hueAngle(a: number, b: number): number {
  if (a === 0 && b === 0) return 0
  const angle = (Math.atan2(b, a) * 180) / Math.PI
  return angle < 0 ? angle + 360 : angle
}

function meanHue(h1: number, h2: number, achromatic: boolean): number {
  if (achromatic) return h1 + h2
  if (Math.abs(h1 - h2) <= 180) return (h1 + h2) / 2
  return h1 + h2 < 360 ? (h1 + h2 + 360) / 2 : (h1 + h2 - 360) / 2
}

function hueStep(h1: number, h2: number, achromatic: boolean): number {
  if (achromatic) return 0
  const step = h2 - h1
  if (step > 180) return step - 360
  return step < -180 ? step + 360 : step
}

/**
 * CIEDE2000 of two Lab colours, 0 for the same, about 1 for just noticeable.
 * Source: G. Sharma, W. Wu, E. N. Dalal, "The CIEDE2000 color-difference
 * formula" (2005), with kL = kC = kH = 1.
 */
export function labDifference([l1, a1, b1]: Lab, [l2, a2, b2]: Lab): number {
  const meanC7 = ((Math.hypot(a1, b1) + Math.hypot(a2, b2)) / 2) ** 7
  const g = 0.5 * (1 - Math.sqrt(meanC7 / (meanC7 + POW25_7)))
  const [p1, p2] = [a1 * (1 + g), a2 * (1 + g)]
  const [c1, c2] = [Math.hypot(p1, b1), Math.hypot(p2, b2)]
  const [h1, h2] = [hueAngle(p1, b1), hueAngle(p2, b2)]
  const achromatic = c1 * c2 === 0
  const dL = l2 - l1
  const dC = c2 - c1
  const dH = 2 * Math.sqrt(c1 * c2) * Math.sin(rad(hueStep(h1, h2, achromatic)) / 2)
  const meanL = (l1 + l2) / 2
  const meanC = (c1 + c2) / 2
  const h = meanHue(h1, h2, achromatic)
  const t =
    1 -
    0.17 * Math.cos(rad(h - 30)) +
    0.24 * Math.cos(rad(2 * h)) +
    0.32 * Math.cos(rad(3 * h + 6)) -
    0.2 * Math.cos(rad(4 * h - 63))
  const sL = 1 + (0.015 * (meanL - 50) ** 2) / Math.sqrt(20 + (meanL - 50) ** 2)
  const sC = 1 + 0.045 * meanC
  const sH = 1 + 0.015 * meanC * t
  const rC = 2 * Math.sqrt(meanC ** 7 / (meanC ** 7 + POW25_7))
  const rT = -Math.sin(rad(60 * Math.exp(-(((h - 275) / 25) ** 2)))) * rC
  return Math.sqrt((dL / sL) ** 2 + (dC / sC) ** 2 + (dH / sH) ** 2 + rT * (dC / sC) * (dH / sH))
}

/** CIEDE2000 of two colours, alpha left aside. */
export function difference(a: Color, b: Color): number {
  return labDifference(toLab(a), toLab(b))
}
