import table from 'color-name'
import { toBytes, type Color } from './color'
import { mapToGamut } from './gamut'

const byBytes = new Map(Object.entries(table).map(([name, bytes]) => [bytes.join(), name]))

/** The CSS name (CSS Color 4 §6.1) that paints exactly this opaque colour; undefined where none does. */
export function cssName(color: Color): string | undefined {
  return color.alpha >= 1 ? byBytes.get(toBytes(mapToGamut(color)).join()) : undefined
}
