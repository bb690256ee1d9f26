import { fromOklch, mapToGamut, toOklch, type Color } from '../color'

/** Hues (OKLCH degrees) that are read as good, as caution and as bad news. Common practice, no source. */
export const statusHues = { success: 150, warning: 75, danger: 27 } as const

export type Status = keyof typeof statusHues

/** In the order in which they are told. */
export const statuses: readonly Status[] = ['success', 'warning', 'danger']

/** How far from its hue a colour is still taken for it, in degrees, and the least chroma (OKLCH). Common practice, no source. */
const [NEAR, COLOURED] = [32, 0.06]

/** Between which lightness (OKLCH) each is recognised: amber that is dark is brown, red that is pale is pink. Common practice, no source. */
const LIGHTNESS: Readonly<Record<Status, readonly [number, number]>> = {
  success: [0.42, 0.68],
  warning: [0.66, 0.82],
  danger: [0.48, 0.64],
}

/** Chroma (OKLCH) between which the tones are tuned to a palette's. */
const [DULLEST, LOUDEST] = [0.1, 0.19]

const clamp = (value: number, [least, most]: readonly [number, number]) =>
  Math.min(most, Math.max(least, value))

/** Degrees between two hues, 0…180. */
const apart = (one: number, other: number) => Math.abs(((one - other + 540) % 360) - 180)

/** Whether a colour is taken for what a status means. */
export function isTone(status: Status, color: Color): boolean {
  const { c, h, alpha } = toOklch(color)
  return alpha > 0.9 && c >= COLOURED && apart(h, statusHues[status]) <= NEAR
}

/** The statuses that no colour of a palette is taken for. */
export const lackingTones = (colors: readonly Color[]): Status[] =>
  statuses.filter((status) => !colors.some((color) => isTone(status, color)))

/**
 * Green, amber and red that go with a palette: of the hue that is read as each, as light and as
 * vivid as its vivid colours are, as far as they are still recognised; inside sRGB.
 */
export function statusTones(colors: readonly Color[]): Readonly<Record<Status, Color>> {
  const vivid = colors.map(toOklch).filter(({ c, alpha }) => c >= COLOURED && alpha > 0.5)
  const mean = (values: readonly number[], usual: number) =>
    values.length ? values.reduce((sum, value) => sum + value, 0) / values.length : usual
  const l = mean(
    vivid.map((color) => color.l),
    0.58,
  )
  const c = clamp(
    mean(
      vivid.map((color) => color.c),
      0.13,
    ),
    [DULLEST, LOUDEST],
  )
  const tone = (status: Status) =>
    mapToGamut(fromOklch({ l: clamp(l, LIGHTNESS[status]), c, h: statusHues[status], alpha: 1 }))
  return { success: tone('success'), warning: tone('warning'), danger: tone('danger') }
}
