import { writeHex, type Shade } from '../color'
import { slotShades, type Slots } from '../resolve'
import {
  decisionsIn,
  isBound,
  slotsInOrder,
  type Body,
  type ColorDecision,
  type Looks,
  type Frame,
  type Page,
  type SlotId,
} from '../site'
import { addOnDecisions } from './add-ons'
import { slotProperty, writeRules } from './css-names'

type ShadesBySlot = Map<SlotId, Map<string, Shade>>

function addLooks(found: ShadesBySlot, looks: Looks | undefined): void {
  for (const inStates of Object.values(looks ?? {})) {
    for (const value of Object.values(inStates ?? {})) {
      for (const decision of decisionsIn(value)) add(found, decision)
    }
  }
}

function add(found: ShadesBySlot, decision: ColorDecision): void {
  if (!isBound(decision) || !decision.shade) return
  const shades = found.get(decision.slot) ?? new Map<string, Shade>()
  shades.set(slotProperty(decision.slot, decision.shade), decision.shade)
  found.set(decision.slot, shades)
}

function addBody(found: ShadesBySlot, body: Body): void {
  for (const section of Object.values(body.sections)) addLooks(found, section.looks)
  for (const element of Object.values(body.elements)) addLooks(found, element.looks)
}

/** The shades that pages refer to. */
export function shadesOnPages(pages: readonly Page[]): ColorDecision[] {
  const found: ShadesBySlot = new Map()
  for (const { body } of pages) addBody(found, body)
  return [...found].flatMap(([slot, shades]) =>
    [...shades.values()].map((shade) => ({ slot, shade })),
  )
}

/** The shades that the frame refers to, and those that pages do (`onPages`), by slot: the only ones that are written. */
export function shadesInUse(frame: Frame, onPages: readonly ColorDecision[]): ShadesBySlot {
  const found: ShadesBySlot = new Map()
  for (const decision of onPages) add(found, decision)
  for (const theme of Object.values(frame.themes.byId)) {
    for (const decision of Object.values(theme.roles)) add(found, decision)
    for (const decision of Object.values(theme.dark ?? {})) add(found, decision)
  }
  for (const style of Object.values(frame.styles)) addLooks(found, style.looks)
  for (const decision of addOnDecisions(frame)) add(found, decision)
  addBody(found, frame.body)
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

/** Shades in an order of their own, so that a stylesheet does not depend on which page was read first. */
const inOrder = (shades: Map<string, Shade> | undefined): Shade[] =>
  [...(shades ?? [])].sort(([a], [b]) => (a < b ? -1 : 1)).map(([, shade]) => shade)

export function paletteCss(frame: Frame, onPages: readonly ColorDecision[]): string {
  const shades = shadesInUse(frame, onPages)
  const declarations = slotsInOrder(frame.palette).flatMap(({ id }) =>
    slotProperties(frame.palette, id, inOrder(shades.get(id))),
  )
  return writeRules([{ selector: ':root', declarations }])
}
