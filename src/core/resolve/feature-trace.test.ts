import { demoSites } from '@demo/sites'
import { kindOf, sectionFacets } from '../elements'
import { siteDocs, type Frame, type PageId, type SiteDocs, type SiteElement } from '../site'
import { spotsOnPage } from './spot'
import { traceFeature } from './feature-trace'
import { traceFacet } from './trace'

const { frame, pages } = demoSites[0]!
const home = pages.find(({ id }) => id === ('home' as PageId))!
const find = (kind: string, isRight: (element: SiteElement) => boolean = () => true) =>
  Object.values(home.body.elements).find((each) => each.kind === kind && isRight(each))!

/** The opening of a site whose frame is otherwise. */
function spotWith(more: Partial<Frame> = {}, section = 'opening') {
  const docs: SiteDocs = siteDocs({ ...frame, ...more }, pages)
  return spotsOnPage(docs, home.id).find((each) => each.section.id === section)!
}

const feature = (element: SiteElement, key: string) =>
  kindOf(element.kind).features!.find((each) => each.key === key)!
const style = (id: string, kind: string, looks: object, more: object = {}) =>
  ({ id, name: id, kind, looks, ...more }) as never

const button = find('mainButton')
const corner = feature(button, 'corner')

test('a corner: the element, every main button, the site; the site decides where nobody nearer does', () => {
  const trace = traceFeature(spotWith(), button, corner, 'rest')
  expect(trace.chain.map(({ at }) => at)).toEqual(['element', 'base', 'setting'])
  expect(trace).toMatchObject({ decidedBy: 2, value: 4, setting: 'buttonCorner' })
})

test('given styles stand before the base style, the nearest first', () => {
  const styles = {
    'main-button': style('main-button', 'mainButton', { corner: { rest: 1 } }),
    wide: style('wide', 'mainButton', { corner: { rest: 2 } }),
    round: style('round', 'mainButton', {}, { parent: 'wide' }),
  }
  const worn = { ...button, style: 'round' } as never
  const spot = spotWith({ styles: styles as never })
  expect(traceFeature(spot, worn, corner, 'rest')).toMatchObject({ decidedBy: 2, value: 2 })
  expect(traceFeature(spot, button, corner, 'rest')).toMatchObject({ decidedBy: 1, value: 1 })
  const own = { ...(worn as object), looks: { corner: { rest: 3 } } } as never
  expect(traceFeature(spot, own, corner, 'rest')).toMatchObject({ decidedBy: 0, value: 3 })
})

test('what is decided for a state counts before all that is decided at rest, however near', () => {
  const styles = { 'main-button': style('main-button', 'mainButton', { corner: { hover: 9 } }) }
  const spot = spotWith({ styles: styles as never })
  const own = { ...button, looks: { corner: { rest: 3 } } } as SiteElement
  expect(traceFeature(spot, own, corner, 'rest').value).toBe(3)
  expect(traceFeature(spot, own, corner, 'hover').value).toBe(9)
  // What is pressed is pointed at; what is focused need not be.
  expect(traceFeature(spot, own, corner, 'pressed').value).toBe(9)
  expect(traceFeature(spot, own, corner, 'focus').value).toBe(3)
})

test('nobody decides a shadow: it is told so, and has no value', () => {
  const trace = traceFeature(spotWith(), button, feature(button, 'shadow'), 'rest')
  expect(trace.decidedBy).toBe(-1)
  expect(trace.value).toBeUndefined()
})

test('titles and headings take the faces of the site, each by its level', () => {
  const title = find('heading', ({ content }) => (content as { level: number }).level === 1)
  const small = find('heading', ({ content }) => (content as { level: number }).level === 3)
  const spot = spotWith()
  expect(traceFeature(spot, title, feature(title, 'face'), 'rest')).toMatchObject({
    value: 'title',
    setting: 'titleFace',
  })
  expect(traceFeature(spot, small, feature(small, 'size'), 'rest')).toMatchObject({
    value: { step: 1 },
    setting: 'scale',
  })
})

test('links in any text have a style in common, which counts after that of their kind', () => {
  const paragraph = find('paragraph', ({ content }) => !(content as { lead?: boolean }).lead)
  const underline = feature(paragraph, 'linkUnderline')
  const none = { line: 'none' }
  const link = style('link', 'link', { linkUnderline: { rest: none } })
  const spot = spotWith({ styles: { link } as never })
  expect(traceFeature(spot, paragraph, underline, 'rest')).toMatchObject({ value: none })
  const wavy = { line: 'wavy' }
  const base = style('paragraph', 'paragraph', { linkUnderline: { rest: wavy } })
  const both = spotWith({ styles: { link, paragraph: base } as never })
  expect(traceFeature(both, paragraph, underline, 'rest')).toMatchObject({ value: wavy })
})

test('one side of a border follows the whole of it, unless it is decided as near or nearer', () => {
  const card = find('card')
  const [line, top] = ['line', 'lineTop'].map((key) =>
    kindOf('card').facets.find((facet) => facet.key === key),
  )
  const spot = spotWith()
  const [teal, navy] = [{ value: 'teal' }, { value: 'navy' }]
  const sees = (looks: object, facet = top!) =>
    traceFacet(spot, { ...card, looks } as SiteElement, facet, 'rest').paint
  expect(sees({ line: { rest: teal } })).toEqual(teal)
  expect(sees({ line: { rest: teal }, lineTop: { rest: navy } })).toEqual(navy)
  expect(sees({ line: { rest: teal }, lineTop: { rest: navy } }, line)).toEqual(teal)
  const styles = { card: style('card', 'card', { lineTop: { rest: navy } }) }
  const styled = spotWith({ styles: styles as never })
  const own = { ...card, looks: { line: { rest: teal } } } as SiteElement
  expect(traceFacet(styled, own, top!, 'rest').paint).toEqual(teal)
  expect(traceFacet(styled, card, top!, 'rest').paint).toEqual(navy)
})

test('the ground on phones follows that on tablets, and that the one everywhere', () => {
  const spot = spotWith()
  const facets = spot && ['fill', 'fillTablet', 'fillPhone']
  const grounds = (looks: object) => {
    const body = { ...home.body, sections: { ...home.body.sections } }
    const opening = { ...body.sections['opening' as never]!, looks }
    const page = { ...home, body: { ...body, sections: { ...body.sections, opening } } }
    const docs = siteDocs(frame, [page as never])
    const own = spotsOnPage(docs, home.id).find(({ section }) => section.id === 'opening')!
    return facets.map((key) => {
      const found = sectionFacets.find((facet) => facet.key === key)!
      return traceFacet(own, undefined, found, 'rest').paint
    })
  }
  const [a, b, c] = [{ value: '#111' }, { value: '#222' }, { value: '#333' }]
  expect(grounds({ fill: { rest: a } })).toEqual([a, a, a])
  expect(grounds({ fill: { rest: a }, fillTablet: { rest: b } })).toEqual([a, b, b])
  expect(grounds({ fill: { rest: a }, fillPhone: { rest: c } })).toEqual([a, a, c])
  expect(grounds({ fillTablet: { rest: b } })).toMatchObject([{ slot: 'paper' }, b, b])
})
