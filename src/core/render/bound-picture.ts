import { writeHex } from '../color'
import { decisionColor } from '../resolve'
import { slotId, type Palette, type Picture, type SiteDocs, type SlotId } from '../site'
import { slotProperty } from './css-names'

const REFERENCE = /var\(\s*--slot-([a-z][a-z0-9-]*)/g

/** The slots that the text of a vector picture refers to, in the order of their ids. */
export function slotsInVector(svg: string): SlotId[] {
  const found = new Set([...svg.matchAll(REFERENCE)].map(([, id]) => id!))
  return [...found].filter((id) => slotId.safeParse(id).success).sort() as SlotId[]
}

/** What slots come to, as colours in hexadecimal digits. */
export type SlotColors = ReadonlyArray<readonly [slot: string, hex: string]>

/** What the slots that a picture follows come to; an empty one gives it nothing, and it keeps what it held last. */
export function slotColorsOf({ slots = [] }: Pick<Picture, 'slots'>, palette: Palette): SlotColors {
  return slots.flatMap((slot) => {
    if (!palette.slots[slot]?.value) return []
    const color = decisionColor(palette, { slot })
    return [[slot, writeHex(color)] as const]
  })
}

/** The opening tag of a picture; a `>` in an attribute does not end it. */
const ROOT = /<svg\b(?:[^>"']|"[^"]*"|'[^']*')*>/i

/**
 * The text of a vector picture with the slots that it refers to. By itself a file knows no page
 * that shows it, and no property of that page.
 */
export function withSlotColors(svg: string, colors: SlotColors): string {
  const root = ROOT.exec(svg)
  if (!root || colors.length === 0 || root[0].endsWith('/>')) return svg
  const end = root.index + root[0].length
  const rules = colors.map(([slot, hex]) => `${slotProperty(slot)}: ${hex}`).join('; ')
  return `${svg.slice(0, end)}<style>:root { ${rules} }</style>${svg.slice(end)}`
}

/** Colours of slots as an address carries them: `brand:1d5955,ink:1b2b33`. */
export const writeSlotColors = (colors: SlotColors): string =>
  colors.map(([slot, hex]) => `${slot}:${hex.slice(1)}`).join(',')

/** Reads them again; what is none is left out. */
export const readSlotColors = (text: string): SlotColors =>
  text.split(',').flatMap((part) => {
    const [, slot, hex] = /^([a-z][a-z0-9-]{0,59}):([\da-f]{6}(?:[\da-f]{2})?)$/i.exec(part) ?? []
    return slot && hex ? [[slot, `#${hex}`] as const] : []
  })

/** The palette, where some picture follows a slot of it; what is drawn of pictures depends on it then. */
export const paletteOfPictures = ({ frame, pictures }: SiteDocs): Palette | undefined =>
  Object.values(pictures).some(({ slots }) => slots?.length) ? frame.palette : undefined
