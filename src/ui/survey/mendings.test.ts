import { demoSites } from '@demo/sites'
import { applyEdit } from '@/core/edit'
import { siteFonts } from '@/core/render'
import { siteDocs, type SiteDocs } from '@/core/site'
import type { Finding } from './findings'
import { mendingsOf } from './mendings'

const [tern] = demoSites
const docs = siteDocs(tern!.frame, tern!.pages, tern!.pictures)

function findingOf(kind: string, fault: 'lines' | 'torn' = 'lines'): Finding {
  const page = tern!.pages.find(({ body }) =>
    Object.values(body.elements).some((e) => e.kind === kind),
  )!
  const holds = (id: string, children: readonly string[] = []): boolean =>
    children.some((each) => each === id || holds(id, page.body.elements[each as never]?.children))
  const element = Object.values(page.body.elements).find((each) => each.kind === kind)!
  const section = Object.values(page.body.sections).find(({ children }) =>
    holds(element.id, children),
  )!
  return {
    key: 'k',
    page: page.id,
    pageTitle: page.title,
    doc: page.id,
    section: section.id,
    element: element.id,
    words: 'Words',
    faults: [{ kind: fault, width: 390, before: 1, after: 2 }],
  }
}

const done = (edit: Parameters<typeof applyEdit>[1]): SiteDocs => {
  const result = applyEdit(docs, edit)
  if (!result.ok) throw new Error(result.problem)
  return result.docs
}

test('a heading: smaller here, smaller for all alike, narrower faces; each is an edit that changes just that', () => {
  const finding = findingOf('heading')
  const ways = mendingsOf(docs, finding)
  expect(ways.map(({ label }) => label)).toEqual([
    'A step smaller, only here',
    expect.stringMatching(/^A step smaller, every /),
    expect.stringMatching(/^A narrower typeface/),
    expect.stringMatching(/^A narrower typeface/),
  ])
  const [here, all, narrower] = ways.map(({ edit }) => done(edit))
  expect(here!.frame).toBe(docs.frame)
  expect(all!.pages).toBe(docs.pages)
  const width = (family: string) => siteFonts.find((font) => font.family === family)!.width
  const faces = ['titleFace', 'headingFace'] as const
  const changed = faces.filter((id) => narrower!.frame.settings[id] !== docs.frame.settings[id])
  expect(changed).toHaveLength(1)
  expect(width(narrower!.frame.settings[changed[0]!])).toBeLessThan(
    width(docs.frame.settings[changed[0]!]),
  )
})

test('a word that is torn may break with a hyphen; other words are not offered it', () => {
  const offers = (fault: 'lines' | 'torn') =>
    mendingsOf(docs, findingOf('paragraph', fault)).some(({ label }) => /hyphen/.test(label))
  expect([offers('torn'), offers('lines')]).toEqual([true, false])
})

test('an element that is gone has nothing to be mended with', () => {
  expect(mendingsOf(docs, { ...findingOf('heading'), element: 'gone' })).toEqual([])
})
