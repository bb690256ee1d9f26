import { contrast, over, type Color } from '../color'

/**
 * What lies under a colour, as it is seen. Opacity paints an element and all that it holds as one
 * layer and mixes that with what lies behind it (CSS Color 4, §3.2; compositing as in W3C
 * Compositing 1, §5), so a colour on it is seen only in part: `opacity` 0…1 of it, with `behind`
 * for the rest. Both colours are opaque.
 */
export interface Backdrop {
  readonly ground: Color
  readonly opacity: number
  readonly behind: Color
}

/** A colour that nothing fades. */
export const plainBackdrop = (ground: Color): Backdrop => ({ ground, opacity: 1, behind: ground })

const mixed = (top: Color, below: Color, share: number): Color =>
  share >= 1 ? { ...top, alpha: 1 } : over({ ...top, alpha: share }, below)

/** A colour as it is seen where it is painted on a backdrop; opaque. */
export function seenOn(color: Color, { ground, opacity, behind }: Backdrop): Color {
  return mixed(mixed({ ...color, alpha: 1 }, behind, opacity), ground, color.alpha)
}

/** Contrast ratio 1…21 of a colour painted on a backdrop, both as they are seen. */
export const contrastOn = (color: Color, backdrop: Backdrop): number =>
  contrast(seenOn(color, backdrop), backdrop.ground)

/** What is seen once an element with an opacity of its own lies there, painted with each of some fills; with none where there is none. */
export function backdropsIn(
  backdrop: Backdrop,
  fills: readonly Color[] | undefined,
  opacity: number,
): Backdrop[] {
  const { ground } = backdrop
  const share = backdrop.opacity * opacity
  // What shows through is the ground as far as this element fades, and what lay behind that before.
  const behind =
    share >= 1 ? ground : mixed(backdrop.behind, ground, (opacity - share) / (1 - share))
  const inside: Backdrop = { ground, opacity: share, behind }
  if (!fills) return [inside]
  return fills.map((fill) => ({ ...inside, ground: seenOn(fill, inside) }))
}
