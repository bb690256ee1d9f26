import { ternFrame } from '@demo/tern/frame'
import { demoSites } from '@demo/sites'
import { home } from '@demo/tern/home'
import { siteDocs, type Frame, type Picture, type SiteElement } from '../site'
import { contentFaults, staleAlts } from '.'

const tern = demoSites[0]!
const pictures = Object.values(tern.pictures)

const withElement = (frame: Frame, kind: string, content: object): Frame => {
  const element = Object.values(frame.body.elements).find((each) => each.kind === kind)!
  const changed = { ...element, content: { ...element.content, ...content } } as SiteElement
  return {
    ...frame,
    body: { ...frame.body, elements: { ...frame.body.elements, [element.id]: changed } },
  }
}
const faults = (frame: Frame, shown = pictures) =>
  contentFaults(siteDocs(frame, [home], shown), home.id).filter(
    ({ rule }) => rule === 'link-without-name',
  )

test('a logo whose text was emptied and whose picture says nothing is a link without a name', () => {
  expect(faults(ternFrame)).toEqual([])
  const silent = pictures.map((picture) => ({ ...picture, alt: '' }))
  const emptied = withElement(ternFrame, 'wordmark', { name: ' ', asset: 'logo' })
  expect(faults(emptied, silent)).toMatchObject([{ doc: 'frame', rule: 'link-without-name' }])
  const told = silent.map((each) =>
    each.id === 'logo' ? { ...each, alt: 'Tern & Thistle' } : each,
  )
  expect(faults(emptied, told)).toEqual([])
})

test('an entry of the navigation without a label is found', () => {
  const items = [{ label: '', href: 'page:shop' }]
  expect(faults(withElement(ternFrame, 'navigation', { items }))).toHaveLength(1)
})

test('a form that sends to nowhere is found on its page', () => {
  const contact = Object.values(tern.pages).find(({ body }) =>
    Object.values(body.elements).some(({ kind }) => kind === 'form'),
  )!
  const found = contentFaults(siteDocs(ternFrame, [contact], pictures), contact.id)
  expect(found.filter(({ rule }) => rule === 'form-goes-nowhere').length).toBeGreaterThan(0)
})

describe('alt texts that name a colour that is gone', () => {
  const palette = (value: string, was: string[]) =>
    ({
      ...ternFrame.palette,
      order: ['brand'],
      slots: { brand: { id: 'brand', name: 'Brand', value, was } },
    }) as unknown as Frame['palette']
  const picture = (alt: string) => [{ ...pictures[0]!, alt }] as Picture[]

  test('are found by the colour that a slot held', () => {
    const [found] = staleAlts(palette('#1c5a54', ['#a8401a']), picture('A rust cover, sewn.'))
    expect(found).toMatchObject({ word: 'rust' })
  })

  test.each([
    ['the colour is still there', '#a8401a', ['#1c5a54'], 'A rust cover'],
    ['another slot word', '#1c5a54', ['#a8401a'], 'A harbour at dawn, trust and crust'],
    ['nothing was replaced', '#1c5a54', [], 'A rust cover'],
  ])('and not where %s', (_, value, was, alt) => {
    expect(staleAlts(palette(value, was), picture(alt))).toEqual([])
  })
})
