import { writeHex, type Shade } from '../color'
import { slotShades, type Slots } from '../resolve'
import {
  decisionsIn,
  isBound,
  slotsInOrder,
  type Body,
  type ColorDecision,
  type FacetColors,
  type Frame,
  type Page,
  type SlotId,
} from '../site'
import { slotProperty, writeRules } from './css-names'

type ShadesBySlot = Map<SlotId, Map<string, Shade>>

function addFacets(found: ShadesBySlot, colors: FacetColors | undefined): void {
  for (const { rest, hover } of Object.values(colors ?? {})) {
    for (const paint of [rest, hover]) if (paint) decisionsIn(paint).forEach((d) => add(found, d))
  }
}

function add(found: ShadesBySlot, decision: ColorDecision): void {
  if (!isBound(decision) || !decision.shade) return
  const shades = found.get(decision.slot) ?? new Map<string, Shade>()
  shades.set(slotProperty(decision.slot, decision.shade), decision.shade)
  found.set(decision.slot, shades)
}

function addBody(found: ShadesBySlot, body: Body): void {
  for (const section of Object.values(body.sections)) addFacets(found, section.colors)
  for (const element of Object.values(body.elements)) addFacets(found, element.colors)
}

/** The shades that frame and pages refer to, by slot: the only ones that are written. */
export function shadesInUse(frame: Frame, pages: readonly Page[]): ShadesBySlot {
  const found: ShadesBySlot = new Map()
  for (const theme of Object.values(frame.themes.byId)) {
    for (const decision of Object.values(theme.roles)) add(found, decision)
    for (const decision of Object.values(theme.dark ?? {})) add(found, decision)
  }
  for (const style of Object.values(frame.styles)) addFacets(found, style.colors)
  for (const { body } of [frame, ...pages]) addBody(found, body)
  return found
}

/** The custom properties of one slot and its shades: all that changes while a slot is dragged. */
export function slotProperties(
  palette: Slots,
  slot: SlotId,
  shades: Iterable<Shade> = [],
): Array<[property: string, value: string]> {
  const colorOfShade = slotShades(palette, slot)
  return [undefined, ...shades].map((shade) => [
    slotProperty(slot, shade),
    writeHex(colorOfShade(shade)),
  ])
}

export function paletteCss(frame: Frame, pages: readonly Page[]): string {
  const shades = shadesInUse(frame, pages)
  const declarations = slotsInOrder(frame.palette).flatMap(({ id }) =>
    slotProperties(frame.palette, id, shades.get(id)?.values()),
  )
  return writeRules([{ selector: ':root', declarations }])
}
