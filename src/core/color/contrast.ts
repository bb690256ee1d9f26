import { over, toBytes, white, type Color } from './color'
import { linearize } from './xyz'

/**
 * Relative luminance 0…1 of an opaque colour as it is painted (8 bits a channel).
 * Source: WCAG 2.2, "relative luminance". The definition's threshold 0.03928 and
 * the 0.04045 of sRGB give the same result for every 8-bit channel.
 */
export function luminance(color: Color): number {
  const [r, g, b] = toBytes(color)
  return 0.2126 * linearize(r / 255) + 0.7152 * linearize(g / 255) + 0.0722 * linearize(b / 255)
}

/**
 * Contrast ratio 1…21 of a foreground as seen over its ground; a ground that is
 * not opaque is taken to lie over `page` (white unless told).
 * Source: WCAG 2.2, "contrast ratio": (L1 + 0.05) / (L2 + 0.05), the lighter first.
 */
export function contrast(foreground: Color, ground: Color, page: Color = white): number {
  const seenGround = over(ground, page)
  const a = luminance(over(foreground, seenGround))
  const b = luminance(seenGround)
  return (Math.max(a, b) + 0.05) / (Math.min(a, b) + 0.05)
}

/** A ratio for people, cut (never rounded up) to one decimal, so that 4.49 does not read as 4.5. */
export function writeRatio(ratio: number): string {
  return (Math.floor(ratio * 10 + 1e-9) / 10).toFixed(1)
}
