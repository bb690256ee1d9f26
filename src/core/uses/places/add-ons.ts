import { addOnKindOf, type AddOnColor } from '../../add-ons'
import { colorOf } from '../../color'
import { textLines } from '../../css'
import { isColorDecision, type AddOn } from '../../site'
import type { Use, UsePaints } from '../use'
import { decisionUse } from './decision-use'
import type { PlaceReader } from './reading'
import { textPart } from './text-part'
import { textUse } from './text-use'

const colorsOf = ({ kind }: AddOn): Readonly<Record<string, AddOnColor>> =>
  kind === 'other' ? {} : addOnKindOf(kind).colors

function addOnUses(addOn: AddOn, i: number): Use[] {
  const colors = colorsOf(addOn)
  return Object.entries(addOn.settings).flatMap(([key, setting]) => {
    const known = colors[key]
    const where = {
      place: 'add-ons',
      object: 'add-on',
      doc: 'frame',
      path: ['addOns', i, 'settings', key],
      label: `${addOn.name}, ${known ? known.label.toLowerCase() : key}`,
      owner: { addOn: addOn.id },
    } as const
    const paints: UsePaints = known?.paints ?? 'other'
    if (isColorDecision(setting)) {
      return [decisionUse(setting, { ...where, property: key, paints })]
    }
    if (typeof setting !== 'string' || !looksLikeColor(setting)) return []
    const find = { start: 0, text: setting, property: key, paints, bindable: false }
    return textUse(textLines(setting), find, where)
  })
}

export const readAddOns: PlaceReader = ({ frame }) =>
  (frame?.addOns ?? []).map((addOn, i) => textPart(addOn, `add-ons ${i}`, addOnUses(addOn, i)))

/** A setting is free text: only a colour with its `#`, a colour function, or a named colour counts. */
function looksLikeColor(setting: string): boolean {
  return (
    /^(?:#|[a-z]+\(|[a-z]{3,}$)/i.test(setting) &&
    !/^[\da-f]+$/i.test(setting) &&
    !!colorOf(setting)
  )
}
