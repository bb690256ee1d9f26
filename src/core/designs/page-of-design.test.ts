import { demoSites } from '@demo/sites'
import { isWholeRecord, pagesInOrder, picturesIn, type PageId } from '../site'
import { pageOfDesign } from './page-of-design'
import { designs, designSite } from './ready'

const { frame, pages, pictures } = demoSites[0]!
const site = {
  frame,
  pictures: pictures.map(({ id }) => id as string),
  pages: pages.map(({ id }) => id),
}
let count = 0
const newId = (stem: string) => `${stem}-${(count += 1)}`
const seat = { id: 'new' as PageId, title: 'New', path: 'new', order: 'a0' }

test.each(designs.map((design) => [design.id, design] as const))(
  'every page of %s becomes one of another site: whole, in its themes, with its pictures and links',
  (_, design) => {
    for (const source of pagesInOrder(designSite(design, 'Any').docs)) {
      const page = pageOfDesign(source, site, seat, newId)
      expect(isWholeRecord('page', page)).toBe(true)
      expect(page.body.order).toHaveLength(source.body.order.length)
      const themes = page.body.order.map((id) => page.body.sections[id]!.theme)
      for (const [i, theme] of themes.entries()) {
        expect(frame.themes.order).toContain(theme)
        // No two neighbours are alike.
        expect(theme).not.toBe(themes[i + 1])
      }
      const titles = Object.values(page.body.elements).filter(
        ({ kind, content }) => kind === 'heading' && (content as { level?: number }).level === 1,
      )
      expect(titles.map(({ content }) => (content as { runs?: unknown }).runs)).toEqual(
        titles.map(() => [{ text: 'New' }]),
      )
      for (const id of picturesIn(page).ids) expect(['', ...site.pictures]).toContain(id)
      const links = [...JSON.stringify(page).matchAll(/"page:([^"]+)"/g)].map(([, id]) => id)
      for (const id of links) expect(site.pages).toContain(id)
    }
  },
)
