import * as z from 'zod'
import { nameText } from '../../site'
import { defineExchange, inJson } from '../kind'
import { textOf } from '../spot'

export const fontRequest = z.strictObject({
  of: z.literal('font'),
  from: nameText,
  to: nameText,
})

/** Names of typefaces are the same in large and small letters, however many blanks part their words (CSS Fonts 4 § 2.1). */
const keyOf = (family: string) => family.trim().replaceAll(/\s+/g, ' ').toLowerCase()

/** A typeface by its name, in the settings of the site and in CSS. */
export const font = defineExchange<z.infer<typeof fontRequest>>({
  of: 'font',
  sorts: ['font'],
  faultOf: ({ from, to }) => (keyOf(from) === keyOf(to) ? 'same-thing' : undefined),
  finder:
    ({ from, to }) =>
    (spot) => {
      const text = textOf(spot)
      return keyOf(text) === keyOf(from) ? [{ start: 0, end: text.length, after: to }] : []
    },
  pattern: ({ from }) => from.trim().split(/\s+/).map(inJson).join('[^"<>;]*'),
})
