import * as z from 'zod'
import { plainText } from '../../site'
import { escaped } from '../../css'
import { defineExchange, inJson, type Found } from '../kind'
import { textOf, type Spot } from '../spot'

export const addressRequest = z.strictObject({
  of: z.literal('address'),
  from: plainText(300),
  to: plainText(300),
})
type Request = z.infer<typeof addressRequest>

export type AddressForm = 'mail' | 'phone' | 'web'

/** Which form an address has as it is typed: one of mail, a telephone number, or one of the web, with `http(s)://` or without. */
export function formOf(address: string): AddressForm | undefined {
  const text = address.trim()
  if (/^[^\s@"<>]+@[^\s@"<>]+\.[^\s@"<>.]+$/.test(text)) return 'mail'
  if (/^\+?[\d(][\d\s()./-]*$/.test(text) && digitsOf(text).length >= 5) return 'phone'
  return /^(?:https?:\/\/)?[^\s/"<>@:]+\.\p{L}[\p{L}\p{N}-]+(?::\d+)?(?:[/?#][^\s"<>]*)?$/iu.test(
    text,
  )
    ? 'web'
    : undefined
}

const digitsOf = (text: string) => text.replaceAll(/\D/g, '')
/** A telephone number as links have it (RFC 3966): its figures, and a plus before them. */
const compact = (phone: string) => (phone.trim().startsWith('+') ? '+' : '') + digitsOf(phone)

const SCHEME = /^https?:\/\//i
/** What telephone numbers are parted with. */
const GAP = String.raw`[\s().\/-]*`

/** Nothing that would make it part of another address may stand right before or behind it. */
const EXPRESSIONS: Readonly<Record<AddressForm, (from: string) => string>> = {
  mail: (from) => String.raw`(?<![\w.+-])${escaped(from)}(?![\w-]|\.\w)`,
  phone: (from) =>
    String.raw`(?<![\d+])${from.startsWith('+') ? String.raw`\+` : ''}${[...digitsOf(from)].join(GAP)}(?!${GAP}\d)`,
  web: (from) => String.raw`(?<![\w.@-])${escaped(from)}(?![\w-]|\.\w)`,
}

/** As it is written in its place: figures alone in `tel:`, with the scheme that is there where none was typed. */
function written(form: AddressForm, { to }: Request, isTel: boolean): string {
  return form === 'phone' && isTel ? compact(to) : to.trim()
}

/** An address of mail, of the web or a telephone number, wherever it is written: in links, in words, in CSS. */
export const address = defineExchange<Request>({
  of: 'address',
  sorts: ['link', 'words', 'address'],
  faultOf({ from, to }) {
    if (from.trim() === '') return 'nothing-sought'
    const form = formOf(from)
    if (form === undefined) return 'no-target'
    if (from.trim() === to.trim()) return 'same-thing'
    // With a scheme on one side alone nobody could say what becomes of it.
    const isSchemed = (text: string) => SCHEME.test(text.trim())
    const isAlike = form !== 'web' || isSchemed(from) === isSchemed(to)
    return formOf(to) === form && isAlike ? undefined : 'no-target'
  },
  finder(request) {
    const from = request.from.trim()
    const form = formOf(from)
    if (!form) return () => []
    const search = new RegExp(EXPRESSIONS[form](from), 'giu')
    return (spot: Spot): Found[] => {
      const text = textOf(spot)
      const isTel = spot.sort === 'link' && /^tel:/i.test(text)
      if (spot.sort === 'link' && form === 'phone' && !isTel) return []
      const after = written(form, request, isTel)
      return [...text.matchAll(search)].map(({ 0: found, index }) => ({
        start: index,
        end: index + found.length,
        after,
      }))
    }
  },
  pattern({ from }) {
    const form = formOf(from)
    if (form === 'phone') return [...digitsOf(from)].join('[^0-9"<>]{0,6}')
    return inJson(from.trim()).replaceAll('&', '&(amp;)?')
  },
})
