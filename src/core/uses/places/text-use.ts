import { clipToGamut, colorOf } from '../../color'
import type { TextLines } from '../../css'
import type { SlotId } from '../../site'
import type { FoundInCss } from '../found-in-css'
import type { Use } from '../use'

/** A find in text as a use; a slot that is referred to by `var()` counts as bound. Colours of text are what browsers paint. */
export function textUse(
  lines: TextLines,
  find: FoundInCss,
  rest: Pick<Use, 'place' | 'doc' | 'path' | 'owner' | 'label' | 'object'>,
): Use[] {
  const slot = find.slot as SlotId | undefined
  const shared = {
    ...rest,
    start: find.start,
    text: find.text,
    ...(find.css === undefined ? {} : { css: find.css }),
    ...(find.escape === undefined ? {} : { escape: find.escape }),
    paints: find.paints,
    property: find.property,
    bindable: find.bindable,
    // Letters of base64 tell nobody anything.
    ...(find.escape === 'base64' ? {} : lines.around(find.start, find.text.length)),
  }
  if (slot !== undefined) return [{ ...shared, decision: { slot } }]
  const value = find.css ?? find.text
  const color = colorOf(value)
  return color ? [{ ...shared, decision: { value }, color: clipToGamut(color) }] : []
}
