import * as z from 'zod'
import { pictureId } from '../../site'
import { defineExchange, inJson, wholly, type KnownOfSite } from '../kind'
import { textOf } from '../spot'

export const pictureRequest = z.strictObject({
  of: z.literal('picture'),
  from: pictureId,
  to: pictureId,
})

const nameOf = ({ pictures }: KnownOfSite, id: string) =>
  Object.hasOwn(pictures, id) ? pictures[id]!.fileName : undefined

/** Where the name of a file stands in an address of CSS: the file lies below `assets/`. */
const inAddress = (address: string, fileName: string | undefined) =>
  fileName !== undefined && /(?:^|\/)assets\//.test(address) && address.endsWith(`/${fileName}`)
    ? address.length - fileName.length
    : -1

/** A picture wherever the site shows it: in things on its pages, as a ground, as the icon of the site, in CSS. */
export const picture = defineExchange<z.infer<typeof pictureRequest>>({
  of: 'picture',
  sorts: ['picture', 'address'],
  faultOf({ from, to }, known) {
    if (from === to) return 'same-thing'
    return nameOf(known, to) === undefined ? 'target-gone' : undefined
  },
  finder(request, known) {
    const [from, to] = [nameOf(known, request.from), nameOf(known, request.to)]
    return (spot) => {
      const text = textOf(spot)
      if (spot.sort === 'picture') return wholly(text, request.from, request.to)
      const start = inAddress(text, from)
      return start < 0 || to === undefined ? [] : [{ start, end: text.length, after: to }]
    }
  },
  pattern({ from }, known) {
    const name = nameOf(known, from)
    const id = `"(asset|picture)":"${inJson(from)}"`
    return name === undefined ? id : `(${id}|assets/${inJson(name)})`
  },
})
