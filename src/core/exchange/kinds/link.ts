import * as z from 'zod'
import { addOnKindIds } from '../../add-ons'
import { longestHref, safeHref } from '../../elements'
import { plainText } from '../../site'
import { defineExchange, inJson, wholly } from '../kind'
import { textOf } from '../spot'

export const linkRequest = z.strictObject({
  of: z.literal('link'),
  from: plainText(longestHref),
  to: plainText(longestHref),
})

/** A page of the site, by its id, or an add-on's page. */
const PAGE = /^page:(.+)$/
const ADD_ON = /^add-on:(.+)$/

/** A whole target of links: a page, an address, a place on the page. */
export const link = defineExchange<z.infer<typeof linkRequest>>({
  of: 'link',
  sorts: ['link'],
  faultOf({ from, to }, { pages }) {
    if (from.trim() === '') return 'nothing-sought'
    if (from === to) return 'same-thing'
    const page = PAGE.exec(to)?.[1]
    if (page !== undefined) return Object.hasOwn(pages, page) ? undefined : 'target-gone'
    const addOn = ADD_ON.exec(to)?.[1]
    if (addOn !== undefined) {
      return (addOnKindIds as readonly string[]).includes(addOn) ? undefined : 'target-gone'
    }
    return to.trim() === '' || (safeHref(to) === '#' && to !== '#') ? 'no-target' : undefined
  },
  finder({ from, to }) {
    const isOurs = PAGE.test(to) || ADD_ON.test(to)
    return (spot) => {
      const found = wholly(textOf(spot), from, to)
      // The code of a snippet knows no page by its id.
      return isOurs && spot.place === 'embeds'
        ? found.map((each) => ({ ...each, fits: false }))
        : found
    }
  },
  pattern: ({ from }) =>
    String.raw`(href":"|href=\\")${inJson(from).replaceAll('&', '&(amp;)?')}["\\]`,
})
