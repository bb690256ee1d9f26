import { colorOf } from '../../color'
import { textLines } from '../../css'
import type { Frame } from '../../site'
import type { Use } from '../use'
import type { PlaceReader } from './reading'
import { textPart } from './text-part'
import { textUse } from './text-use'

function addOnUses({ name, settings }: Frame['addOns'][number], i: number): Use[] {
  return Object.entries(settings).flatMap(([key, setting]) => {
    if (typeof setting !== 'string' || !looksLikeColor(setting)) return []
    const find = {
      start: 0,
      text: setting,
      property: key,
      paints: 'other' as const,
      bindable: false,
    }
    return textUse(textLines(setting), find, {
      place: 'add-ons',
      object: 'add-on',
      doc: 'frame',
      path: ['addOns', i, 'settings', key],
      label: `${name}, ${key}`,
      owner: {},
    })
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
