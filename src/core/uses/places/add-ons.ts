import { colorOf } from '../../color'
import { textLines } from '../../css'
import type { PlaceReader } from './reading'
import { textUse } from './text-use'

export const readAddOns: PlaceReader = ({ frame }) =>
  (frame?.addOns ?? []).flatMap((addOn, i) =>
    Object.entries(addOn.settings).flatMap(([key, setting]) => {
      if (typeof setting !== 'string' || !looksLikeColor(setting)) return []
      const shared = { property: key, paints: 'other' as const, bindable: false }
      const find = { start: 0, text: setting, ...shared }
      return textUse(textLines(setting), find, {
        place: 'add-ons',
        object: 'add-on',
        doc: 'frame',
        path: ['addOns', i, 'settings', key],
        label: `${addOn.name}, ${key}`,
        owner: {},
      })
    }),
  )

/** A setting is free text: only a colour with its `#`, a colour function, or a named colour counts. */
function looksLikeColor(setting: string): boolean {
  return (
    /^(?:#|[a-z]+\(|[a-z]{3,}$)/i.test(setting) &&
    !/^[\da-f]+$/i.test(setting) &&
    !!colorOf(setting)
  )
}
