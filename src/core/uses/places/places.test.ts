import { demoSites } from '@demo/sites'
import { colorKey } from '../../color'
import { decisionColor } from '../../resolve'
import { siteDocs, canonicalJson, isBound, type Page, type SiteDocs } from '../../site'
import { usesInSite } from '../find-uses'
import { noPictures } from '../held-pictures'
import { useKey, type Use } from '../use'
import { places } from '.'

const sites = demoSites.map(({ frame, pages }) => {
  const docs: SiteDocs = siteDocs(frame, pages)
  return [frame.name, docs] as const
})

const at = (docs: SiteDocs, { doc, path }: Use): unknown =>
  path.reduce<unknown>(
    (value, key) => (value as Record<string | number, unknown>)[key],
    doc === 'frame' ? docs.frame : docs.pages[doc as Page['id']],
  )

describe.each(sites)('%s', (_name, docs) => {
  const uses = usesInSite(docs.frame, Object.values(docs.pages))

  test('each use stands just where it says, as it says', () => {
    for (const use of uses) {
      const there = at(docs, use)
      if (use.start === undefined) {
        expect(canonicalJson(there)).toBe(canonicalJson(use.decision))
      } else {
        expect((there as string).slice(use.start, use.start + use.text.length)).toBe(use.text)
        expect(use.context!.slice(use.textAt, use.textAt! + use.text.length)).toBe(use.text)
      }
    }
  })

  test('each has a key of its own, words, and the colour that its decision comes to', () => {
    expect(new Set(uses.map(useKey)).size).toBe(uses.length)
    for (const { label, decision, color } of uses) {
      expect(label).not.toBe('')
      if (isBound(decision)) {
        expect(colorKey(color!)).toBe(colorKey(decisionColor(docs.frame.palette, decision)))
      }
    }
  })

  test('they are listed place by place', () => {
    const order = uses.map(({ place }) => Object.keys(places).indexOf(place))
    const perDoc = new Map<string, number[]>()
    uses.forEach(({ doc }, i) => perDoc.set(doc, [...(perDoc.get(doc) ?? []), order[i]!]))
    for (const list of perDoc.values()) expect(list).toEqual([...list].sort((a, b) => a - b))
  })
})

test('the first demo hides colours in every place', () => {
  const found = new Set(
    usesInSite(sites[0]![1].frame, Object.values(sites[0]![1].pages)).map(({ place }) => place),
  )
  // Vector pictures hold theirs in their files, which lie where the server is.
  const here = Object.keys(places).filter((place) => place !== 'pictures')
  expect([...found].sort()).toEqual(here.sort())
})

test('a page has uses of its own content and snippets alone; the frame has the rest', () => {
  const [, docs] = sites[0]!
  const page = Object.values(docs.pages)[0] as Page
  for (const [id, read] of Object.entries(places)) {
    const onPage = read({ doc: page.id, page, pictures: noPictures }).flatMap(({ uses }) => uses())
    if (id !== 'content' && id !== 'embeds') expect(onPage).toEqual([])
    for (const { doc, label } of onPage) {
      expect(doc).toBe(page.id)
      expect(label.startsWith(page.title)).toBe(true)
    }
  }
})

test('a setting counts as a colour only when it can be nothing else', () => {
  const [, { frame }] = sites[0]!
  const settings = {
    accent: '#1C5A54',
    named: 'teal',
    func: 'rgb(28 90 84)',
    number: '123456',
    word: 'ok',
    size: '12px',
    label: 'Book a place',
    on: true,
  }
  const read = places['add-ons']
  const addOns = [{ ...frame.addOns[0]!, settings }]
  const parts = read({
    frame: { ...frame, addOns } as typeof frame,
    doc: 'frame',
    pictures: noPictures,
  })
  const found = parts.flatMap(({ uses }) => uses())
  expect(found.map(({ text }) => text)).toEqual(['#1C5A54', 'teal', 'rgb(28 90 84)'])
  expect(found.every(({ bindable }) => !bindable)).toBe(true)
})
