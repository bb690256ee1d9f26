import { contrast, difference, luminance, over, toOklch, white, type Color } from '../color'

/** What a palette lacks before a site can be coloured with it. Common practice, no source, but for the contrasts. */
export type PaletteFault =
  'no-light' | 'no-dark' | 'no-accent' | 'text-unread' | 'accent-unread' | 'not-in-order' | 'alike'

/** CIEDE2000 below which two colours of a palette do the work of one. */
const ALIKE = 4

/**
 * The faults of a palette: a near-white, a near-black that reads on it
 * (WCAG 2.2 §1.4.6, 7:1), an accent (OKLCH chroma 0.08 or more) that can be
 * seen on it (§1.4.11, 3:1) or carries the near-black (§1.4.3, 4.5:1), colours
 * in order of luminance, no two alike. Empty for a sound one.
 */
export function paletteFaults(colors: readonly Color[]): PaletteFault[] {
  const seen = colors.map((color) => over(color, white))
  const byLight = [...seen].sort((a, b) => luminance(b) - luminance(a))
  const [lightest, darkest] = [byLight[0] ?? white, byLight.at(-1) ?? white]
  const accents = seen.filter((color) => toOklch(color).c >= 0.08)
  const carries = (accent: Color) =>
    contrast(accent, lightest) >= 3 || contrast(darkest, accent) >= 4.5
  const alike = seen.some((a, i) => seen.slice(i + 1).some((b) => difference(a, b) < ALIKE))
  const found: Array<readonly [PaletteFault, boolean]> = [
    ['no-light', luminance(lightest) < 0.8],
    ['no-dark', luminance(darkest) > 0.04],
    ['no-accent', accents.length === 0],
    ['text-unread', contrast(darkest, lightest) < 7],
    ['accent-unread', accents.length > 0 && !accents.some(carries)],
    ['not-in-order', seen.some((color, i) => i > 0 && luminance(color) > luminance(seen[i - 1]!))],
    ['alike', alike],
  ]
  return found.flatMap(([fault, is]) => (is ? [fault] : []))
}
