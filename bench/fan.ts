/** Runs in the page of the measurement: what the stage computes for a whole palette, bundled as the application is. */
import { slotProperties } from '@/core/render'
import type { Slots } from '@/core/resolve'
import { scaleSteps, usualShadeScale, type SlotId } from '@/core/site'

const shades = scaleSteps(usualShadeScale).flatMap((lightness) =>
  lightness ? [{ lightness }] : [],
)

/** The custom properties of every slot and its shades. */
export function wholePalette(palette: Slots): Array<[property: string, value: string]> {
  return Object.keys(palette.slots).flatMap((id) => slotProperties(palette, id as SlotId, shades))
}
