import { demoSites } from '@demo/sites'
import type { Run } from '../elements'
import { applyRecordChanges, recordsOf, type SiteDocs, type SiteElement } from '../site'
import { planInMemory, type WideIntent } from '../wide'
import { textOf } from './spot'
import { exchangeAsked, spotsIn, type ExchangeAsked } from '.'

export const tern: SiteDocs = (() => {
  const { frame, pages, pictures } = demoSites[0]!
  return {
    frame,
    pages: Object.fromEntries(pages.map((page) => [page.id, page])),
    pictures: Object.fromEntries((pictures ?? []).map((each) => [each.id, each])),
    fonts: {},
  } as unknown as SiteDocs
})()

export const known = {
  pictures: tern.pictures,
  pages: tern.pages,
}

export function plan(docs: SiteDocs, asked: ExchangeAsked) {
  const intent: WideIntent = { type: 'exchange', request: { asked: exchangeAsked.parse(asked) } }
  const planned = planInMemory(docs, intent)
  if (!planned.ok) throw new Error(planned.problem)
  return { ...planned, docs: applyRecordChanges(docs, planned.changes) }
}

export const wordsOf = (docs: SiteDocs) =>
  recordsOf(docs).flatMap((each) =>
    spotsIn(each, each.record).flatMap((spot) => (spot.sort === 'words' ? [textOf(spot)] : [])),
  )

export const runsOf = ({ content }: SiteElement) =>
  (content as { readonly runs: readonly Run[] }).runs

/** The demo site with things on its pages changed. */
export function withElement(change: (element: SiteElement) => object | undefined): SiteDocs {
  const pages = Object.fromEntries(
    Object.entries(tern.pages).map(([id, page]) => {
      const elements = Object.fromEntries(
        Object.entries(page.body.elements).map(([key, element]) => [
          key,
          { ...element, ...(change(element) ?? {}) },
        ]),
      )
      return [id, { ...page, body: { ...page.body, elements } }]
    }),
  )
  return { ...tern, pages } as SiteDocs
}
