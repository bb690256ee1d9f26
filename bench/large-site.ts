import { ternFrame } from '@demo/tern/frame'
import {
  orderBetween,
  pageSchema,
  pageVersion,
  siteDocs,
  type Page,
  type SiteDocs,
} from '@/core/site'

/** Uses on each page, and those of the colour that is swept. */
export const usesOnPage = 105
export const sweptOnPage = 22
export const swept = '#1c5a54'

const slots = ternFrame.palette.order

/** What one element decides: the swept colour, a slot, a shade of it, or one of forty loose colours. */
function paintOf(page: number, n: number): object {
  if (n < sweptOnPage) return { value: swept }
  if (n % 3 === 0) return { slot: slots[n % slots.length] }
  if (n % 3 === 1) return { slot: slots[n % slots.length], shade: { lightness: (n % 5) * 4 - 8 } }
  return { value: `#${(((page + n) % 40) * 5 + 0x304050).toString(16)}` }
}

/** A page of seven sections with some hundred elements, each with a colour of its own. */
function page(n: number, order: string): Page {
  const elements: Record<string, unknown> = {}
  const sections: Record<string, unknown> = {}
  const ids = Array.from({ length: 7 }, (_, i) => `s-${i}`)
  const each = usesOnPage / ids.length
  ids.forEach((id, s) => {
    const children = Array.from({ length: each }, (_, i) => `p${n}-${s * each + i}`)
    children.forEach((child, i) => {
      const use = s * each + i
      elements[child] = {
        id: child,
        kind: use % 2 ? 'heading' : 'paragraph',
        content:
          use % 2
            ? { runs: [{ text: `Heading ${use} of page ${n}` }], level: 2 }
            : { runs: [{ text: `A line of words, number ${use}, on page ${n} of the site.` }] },
        looks: { text: { rest: paintOf(n, use) } },
      }
    })
    const theme = ternFrame.themes.order[s % ternFrame.themes.order.length]
    sections[id] = { id, name: `Section ${s}`, kind: 'band', theme, layout: 'stack', children }
  })
  return pageSchema.parse({
    schema: pageVersion,
    id: `page-${n}`,
    order,
    title: `Page ${n}`,
    path: n === 0 ? 'index' : `page-${n}`,
    description: '',
    body: { order: ids, sections, elements },
  })
}

/** A site of so many pages, in the palette and themes of the demo. */
export function largeSite(count: number): SiteDocs {
  const pages: Page[] = []
  let last: string | null = null
  for (let n = 0; n < count; n += 1) pages.push(page(n, (last = orderBetween(last, null))))
  return siteDocs({ ...ternFrame, name: `Site of ${count} pages` }, pages)
}
