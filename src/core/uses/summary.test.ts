import { demoSites } from '@demo/sites'
import { facetsOf, spotsOnPage, traceFacet } from '../resolve'
import { bodyOf, walkSection, type PageId, type SiteDocs, type SiteElement } from '../site'
import { reachOf, summarize } from './summary'

const site = demoSites[0]!
const docs: SiteDocs = {
  frame: site.frame,
  pages: Object.fromEntries(site.pages.map((page) => [page.id, page])),
}

/** The same counts without summaries: every element of every page, header and footer once. */
function countedOneByOne(): { slots: Record<string, number>; roles: Record<string, number> } {
  const slots: Record<string, number> = {}
  const roles: Record<string, number> = {}
  const add = (spot: ReturnType<typeof spotsOnPage>[number], element?: SiteElement) => {
    for (const facet of facetsOf(element)) {
      for (const state of ['rest', 'hover'] as const) {
        const trace = traceFacet(spot, element, facet, state)
        const decider = trace.chain[trace.decidedBy]!
        if (decider.state !== state) continue
        if (trace.slot) slots[trace.slot] = (slots[trace.slot] ?? 0) + 1
        if (decider.at === 'theme') {
          const key = `${decider.theme}/${decider.role}`
          roles[key] = (roles[key] ?? 0) + 1
        }
      }
    }
  }
  const pages = Object.keys(docs.pages) as PageId[]
  pages.forEach((page, i) => {
    for (const spot of spotsOnPage(docs, page)) {
      if (spot.doc === 'frame' && i > 0) continue
      add(spot)
      walkSection(bodyOf(docs, spot.doc)!, spot.section, (element) => add(spot, element))
    }
  })
  return { slots, roles }
}

test('counts from summaries alone are the counts of every element', () => {
  const summaries = [site.frame, ...site.pages].map(({ body }) => summarize(body))
  const { slots, roles } = reachOf(docs.frame, summaries)
  expect({ slots, roles }).toEqual(countedOneByOne())
  expect(slots.spark).toBeGreaterThan(20)
})

test('a summary is small: elements that are coloured alike are one group', () => {
  const home = summarize(site.pages[0]!.body)
  const elements = Object.keys(site.pages[0]!.body.elements).length
  expect(home.groups.length).toBeLessThan(elements * 0.75)
  expect(home.groups.reduce((sum, { count }) => sum + count, 0)).toBe(elements + home.bands.length)
})

test('elements by the style they take', () => {
  const { styles } = reachOf(
    docs.frame,
    site.pages.map(({ body }) => summarize(body)),
  )
  expect(styles).toEqual({ booking: 2, sale: 2, ticket: 1 })
})
