import { demoSites } from '@demo/sites'
import { colorOf, contrast, writeHex } from '../color'
import { kindOf } from '../elements'
import {
  siteDocs,
  type ElementId,
  type ElementStyle,
  type PageId,
  type SiteDocs,
  type SiteElement,
  type StyleId,
} from '../site'
import { decisionColor } from './decision'
import { groundsUnder, readingOf } from './grounds'
import { parentsOf, spotsOnPage } from './spot'
import { styleChain } from './chain'
import { traceFacet } from './trace'

const [tern] = demoSites
const docs: SiteDocs = siteDocs(tern!.frame, tern!.pages)
const home = 'home' as PageId
const spot = (section: string, page: PageId = home, site: SiteDocs = docs) =>
  spotsOnPage(site, page).find((each) => each.section.id === section)!
const find = (page: string, kind: string, holds: (element: SiteElement) => boolean = () => true) =>
  Object.values(docs.pages[page as PageId]!.body.elements).find(
    (element) => element.kind === kind && holds(element),
  )!
const titleOf = ({ kind, content }: SiteElement) => kindOf(kind).title(content)
const facet = (element: SiteElement, key: string) =>
  kindOf(element.kind).facets.find((each) => each.key === key)!

describe('the chain', () => {
  const button = find('home', 'mainButton')
  const fill = facet(button, 'fill')

  test('at rest: element, then its base style, then theme; the theme decides where the element sets nothing', () => {
    const trace = traceFacet(spot('opening'), button, fill, 'rest')
    expect(trace.chain.map(({ at }) => at)).toEqual(['element', 'base', 'theme'])
    expect(trace.decidedBy).toBe(2)
    expect(trace).toMatchObject({ slot: 'spark' })
    expect(writeHex(trace.color!)).toBe('#d65a2a')
  })

  test('under the pointer: what is set for the pointer first, then what is set at rest', () => {
    const trace = traceFacet(spot('opening'), button, fill, 'hover')
    expect(trace.chain.map(({ at, state }) => `${at} ${state}`)).toEqual([
      'element hover',
      'base hover',
      'theme hover',
      'element rest',
      'base rest',
      'theme rest',
    ])
    expect(trace).toMatchObject({ slot: 'spark', shade: { lightness: 6 }, decidedBy: 2 })
  })

  test('a colour set at rest only gives way to the theme under the pointer', () => {
    const own = { ...button, looks: { fill: { rest: { value: 'teal' } } } } as SiteElement
    expect(writeHex(traceFacet(spot('opening'), own, fill, 'rest').color!)).toBe('#008080')
    expect(traceFacet(spot('opening'), own, fill, 'hover')).toMatchObject({ slot: 'spark' })
    const line = facet(own, 'line')
    const held = { ...button, looks: { line: { rest: { value: 'teal' } } } } as SiteElement
    expect(writeHex(traceFacet(spot('opening'), held, line, 'hover').color!)).toBe('#008080')
  })

  test('an element style, and the one it inherits from, stand between', () => {
    const card = find('home', 'card', ({ style }) => style === 'sale')
    const trace = traceFacet(spot('from-the-shop'), card, facet(card, 'line'), 'rest')
    expect(trace.chain.map((decider) => ('style' in decider ? decider.style : decider.at))).toEqual(
      ['element', 'sale', 'ticket', 'card', 'theme'],
    )
    expect(trace).toMatchObject({ decidedBy: 1, slot: 'spark' })
  })

  test('styles that inherit from each other in a circle end', () => {
    const style = (id: string, parent: string) =>
      ({ id, name: id, kind: 'card', parent, looks: {} }) as unknown as ElementStyle
    const styles = { a: style('a', 'b'), b: style('b', 'a') } as unknown as Record<
      StyleId,
      ElementStyle
    >
    expect(styleChain(styles, 'a' as StyleId).map(({ id }) => id)).toEqual(['a', 'b'])
  })

  test('a role that depends on a word of the content', () => {
    const full = find(
      'home',
      'mark',
      ({ content }) => (content as { tone: string }).tone === 'danger',
    )
    const trace = traceFacet(spot('this-month'), full, facet(full, 'text'), 'rest')
    expect(trace.chain.at(-1)).toMatchObject({ at: 'theme', role: 'danger' })
  })
})

describe('a blending header', () => {
  test('takes the theme of the section under it, page by page', () => {
    expect(spot('header').theme.id).toBe('on-paper')
    expect(spot('header', 'workshops' as PageId).theme.id).toBe('on-brand')
    expect(spot('header', 'about' as PageId).theme.id).toBe('on-ink')
  })

  test('takes its own fill too', () => {
    const page = docs.pages[home]!
    const opening = page.body.sections['opening' as keyof typeof page.body.sections]!
    const looks = { fill: { rest: { value: '#abcdef' } } }
    const body = {
      ...page.body,
      sections: { ...page.body.sections, opening: { ...opening, looks } },
    }
    const site = { ...docs, pages: { [home]: { ...page, body } } }
    expect(spot('header', home, site).ownFill).toEqual({ value: '#abcdef' })
  })
})

describe('what lies under a colour', () => {
  test('the card it stands in, not the section', () => {
    const heading = find('home', 'heading', (element) => titleOf(element) === 'Coptic sewing')
    const where = spot('this-month')
    expect(parentsOf(where, heading.id).map(({ kind }) => kind)).toEqual(['group', 'card'])
    const trace = traceFacet(where, heading, facet(heading, 'text'), 'rest')
    expect(groundsUnder(where, heading, trace).map(({ ground }) => writeHex(ground))).toEqual([
      '#f7f2e7',
    ])
    const reading = readingOf(where, heading, trace)!
    expect(reading.ratio).toBeCloseTo(contrast(colorOf('#17211f')!, colorOf('#f7f2e7')!), 6)
    expect(reading.needs).toBe(4.5)
  })

  test('the fill of the same button, for its label', () => {
    const button = find('home', 'mainButton')
    const trace = traceFacet(spot('opening'), button, facet(button, 'label'), 'hover')
    const [{ ground } = {}] = groundsUnder(spot('opening'), button, trace)
    const fill = traceFacet(spot('opening'), button, facet(button, 'fill'), 'hover')
    expect(writeHex(ground!)).toBe(writeHex(fill.color!))
  })

  test('every colour of a gradient, from stop to stop; the worst one counts', () => {
    const heading = find('home', 'heading', (element) => titleOf(element).startsWith('A letter'))
    const where = spot('newsletter')
    const trace = traceFacet(where, heading, facet(heading, 'text'), 'rest')
    const grounds = groundsUnder(where, heading, trace).map(({ ground }) => ground)
    const { stops } = where.ownFill as unknown as { stops: Array<{ color: { slot: string } }> }
    expect([grounds[0]!, grounds.at(-1)!]).toEqual(
      stops.map(({ color }) => decisionColor(docs.frame.palette, color as never)),
    )
    expect(grounds.length).toBeGreaterThan(10)
    const ratios = grounds.map((ground) => contrast(trace.color!, ground))
    expect(readingOf(where, heading, trace)!.ratio).toBe(Math.min(...ratios))
  })

  test('a ground of phones alone is told as theirs where it reads worse there', () => {
    const page = docs.pages[home]!
    const opening = page.body.sections['opening' as keyof typeof page.body.sections]!
    const withGrounds = (looks: object) => {
      const body = {
        ...page.body,
        sections: { ...page.body.sections, opening: { ...opening, looks } },
      }
      return spot('opening', home, { ...docs, pages: { [home]: { ...page, body } } } as SiteDocs)
    }
    const quiet = find('home', 'quietButton')
    const read = (looks: object) => {
      const where = withGrounds(looks)
      return readingOf(where, quiet, traceFacet(where, quiet, facet(quiet, 'label'), 'rest'))
    }
    expect(read({ fillPhone: { rest: { value: '#1d5955' } } })).toMatchObject({
      ratio: 1,
      window: 'phone',
    })
    expect(read({ fillPhone: { rest: { value: 'white' } } })).toMatchObject({ window: 'wide' })
    expect(read({ fill: { rest: { value: 'white' } } })).not.toHaveProperty('window')
  })

  test('what can be seen through lets the section show', () => {
    const quiet = find('home', 'quietButton')
    const trace = traceFacet(spot('opening'), quiet, facet(quiet, 'label'), 'rest')
    expect(
      groundsUnder(spot('opening'), quiet, trace).map(({ ground }) => writeHex(ground)),
    ).toEqual(['#f7f2e7'])
  })

  test('fills have no reading of their own', () => {
    const button = find('home', 'mainButton')
    expect(
      readingOf(
        spot('opening'),
        button,
        traceFacet(spot('opening'), button, facet(button, 'fill'), 'rest'),
      ),
    ).toBeUndefined()
  })
})

test('an element that is nowhere has no parents', () => {
  expect(parentsOf(spot('opening'), 'home-999' as ElementId)).toEqual([])
})
