import { Parser } from 'htmlparser2'
import { unprefixed } from './svg-prefix'

/** What nobody sees of a picture: notes of the program that drew it, and of documents around it. */
const UNSEEN =
  /^(?:metadata|tabindex|focusable|baseProfile|enable-background|lang|space|(?:data|aria)-.*|(?!xlink:href$).*:.*)$/i

/** How often something is fetched by a style. */
const FETCHED = /@import|url\((?!["'\s]*(?:[#)]|data:|$))/gi

/** How often each element stands in a vector picture, and each of its attributes, by names. */
function countsIn(text: string) {
  const elements = new Map<string, number>()
  const attributes = new Map<string, number>()
  const count = (counts: Map<string, number>, name: string, times = 1) =>
    counts.set(name, (counts.get(name) ?? 0) + times)
  const countFetched = (css: string) => count(elements, 'url()', [...css.matchAll(FETCHED)].length)
  const nameOf = unprefixed(text)
  let isStyle = false
  const parser = new Parser(
    {
      onopentag(written, given) {
        const tag = nameOf(written)
        isStyle = tag === 'style'
        if (UNSEEN.test(tag)) return
        count(elements, tag)
        for (const [name, value] of Object.entries(given)) {
          // What says nothing is not missed.
          if (value && !UNSEEN.test(name)) count(attributes, `${tag} ${name}`)
          if (name === 'style') countFetched(value)
        }
      },
      ontext(css) {
        if (isStyle) countFetched(css)
      },
      onclosetag() {
        isStyle = false
      },
    },
    { xmlMode: true, decodeEntities: true },
  )
  parser.end(text)
  return { elements, attributes }
}

/**
 * What stands in a vector picture and no longer in what cleaning made of it, by the names of elements, then
 * of attributes, those that nobody sees aside; `url()` for what styles fetch. Attributes went with their elements.
 */
export function leftOutOfSvg(text: string, clean: string): string[] {
  const [was, is] = [countsIn(text), countsIn(clean)]
  const fewer = (of: 'elements' | 'attributes') =>
    [...was[of]].flatMap(([name, count]) => (count > (is[of].get(name) ?? 0) ? [name] : []))
  const elements = fewer('elements')
  const attributes = fewer('attributes').flatMap((each) => {
    const [tag, name] = each.split(' ') as [string, string]
    return elements.includes(tag) ? [] : [name]
  })
  return [...new Set([...elements, ...attributes])]
}
