import { fromOklch, mapToGamut, toOklch, type Color, type Shade } from '../color'
import { scaleSteps, shadeScaleOf, type ColorDecision, type Palette, type SlotId } from '../site'

/** A step of lightness of a slot as a decision; 0 is the slot itself. */
export function stepDecision(slot: SlotId, lightness: number): ColorDecision {
  return lightness === 0 ? { slot } : { slot, shade: { lightness } }
}

/** A slot with its tints and shades, lightest first, by its own scale or the palette's. */
export function fanOf(palette: Palette, slot: SlotId): ColorDecision[] {
  return scaleSteps(shadeScaleOf(palette, slot)).map((step) => stepDecision(slot, step))
}

/** A shade moved by some points of lightness, within −100…100. */
export function stepShade(shade: Shade | undefined, lightness: number): Shade {
  const moved = (shade?.lightness ?? 0) + lightness
  return { ...shade, lightness: Math.min(100, Math.max(-100, moved)) }
}

/** The greys of the same lightness (OKLCH chroma 0). */
export function greyed(color: Color): Color {
  return mapToGamut(fromOklch({ ...toOklch(color), c: 0 }))
}
