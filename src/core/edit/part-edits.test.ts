import { demoSites } from '@demo/sites'
import { inEditor, renderSections } from '../render'
import { spotsOnPage } from '../resolve'
import {
  canonicalJson,
  mostSections,
  siteDocs,
  standingOn,
  walkSection,
  type PageId,
  type SiteDocs,
} from '../site'
import { bandsOf } from '../uses'
import { applyEdit, changedDocs, describeEdit, inverseOf } from './apply'
import { editSchema, type Edit } from './edits'

const [tern] = demoSites
const docs: SiteDocs = siteDocs(tern!.frame, tern!.pages, tern!.pictures)
const [home, workshops] = ['home', 'workshops'] as PageId[]
const body = (site: SiteDocs, page: PageId) => site.pages[page]!.body
const run = (edit: object, on: SiteDocs = docs) => applyEdit(on, editSchema.parse(edit) as Edit)
const done = (edit: object, on: SiteDocs = docs): SiteDocs => {
  const result = run(edit, on)
  if (!result.ok) throw new Error(result.problem)
  // Whatever it does can be taken back.
  const back = changedDocs(result.docs, inverseOf(result.changes))!
  expect(canonicalJson(back)).toBe(canonicalJson(on))
  return result.docs
}
const last = body(docs, home!).order.at(-1)!
const named = body(docs, home!).sections[last]!.name
/** Ids that no element of the site has. */
function fresh(site: SiteDocs, doc: 'frame' | PageId, section: string, stem: string) {
  const from = doc === 'frame' ? site.frame.body : body(site, doc)
  const ids: Record<string, string> = {}
  walkSection(from, from.sections[section as never]!, ({ id }) => {
    ids[id] = `${stem}-${Object.keys(ids).length}`
  })
  return ids
}
const keep = { type: 'keepPart', doc: home, section: last, part: 'call' }
const kept = done({ ...keep, ids: fresh(docs, home!, last, 'kept') })
const placed = done({ type: 'placePart', doc: workshops, part: 'call' }, kept)
const where = inEditor('tern', docs)
const written = (site: SiteDocs, page: PageId, id: string) =>
  renderSections(site, page, where).find((each) => each.id === id)?.html

test('a section that is kept as a part stands where it stood, and looks as it did', () => {
  const plain = (html = '') => html.replaceAll(/data-(el|section)="[^"]*"/g, '')
  expect(body(kept, home!).order.at(-1)).toBe('call')
  expect(body(kept, home!).sections[last]).toBeUndefined()
  expect(kept.frame.body.sections['call' as never]).toMatchObject({ name: named })
  expect(plain(written(kept, home!, 'call'))).toBe(plain(written(docs, home!, last)))
  expect(Object.keys(body(kept, home!).elements).length).toBeLessThan(
    Object.keys(body(docs, home!).elements).length,
  )
  expect(bandsOf(body(kept, home!)).at(-1)).toEqual({ kind: 'part', id: 'call' })
})

test('what is changed in a part changes wherever it stands', () => {
  const site = done(
    { type: 'setSectionTheme', sections: [{ doc: 'frame', section: 'call' }], theme: 'on-ink' },
    placed,
  )
  for (const page of [home!, workshops!]) {
    expect(written(site, page, 'call')).toContain('data-theme="on-ink"')
    const spot = spotsOnPage(site, page).find(({ section }) => section.name === named)
    expect(spot).toMatchObject({ doc: 'frame', theme: { id: 'on-ink' } })
  }
})

test('a part that is loosened is the page’s own: the others keep theirs', () => {
  const ids = fresh(placed, 'frame', 'call', 'own')
  const site = done({ type: 'loosenPart', doc: home, part: 'call', section: 'mine', ids }, placed)
  expect(body(site, home!).order.at(-1)).toBe('mine')
  expect(body(site, workshops!).order.at(-1)).toBe('call')
  const themed = done(
    { type: 'setSectionTheme', sections: [{ doc: home, section: 'mine' }], theme: 'on-ink' },
    site,
  )
  expect(written(themed, workshops!, 'call')).toBe(written(placed, workshops!, 'call'))
})

test('a header that is loosened stands in place of the site’s on that page, until it is taken away', () => {
  const ids = fresh(docs, 'frame', 'header', 'own')
  const site = done({ type: 'loosenPart', doc: home, part: 'header', section: 'mine', ids })
  const headers = (page: PageId, on: SiteDocs) =>
    standingOn(on.frame, on.pages[page]).filter(({ section }) => section.kind === 'header')
  expect(headers(home!, site).map(({ doc }) => doc)).toEqual([home])
  expect(headers(workshops!, site).map(({ doc }) => doc)).toEqual(['frame'])
  // It blends with what lies under it, as the site's does.
  expect(spotsOnPage(site, home!)[0]!.theme).toBe(spotsOnPage(docs, home!)[0]!.theme)
  const hidden = done({ type: 'setSection', doc: home, section: 'mine', hidden: true }, site)
  expect(spotsOnPage(hidden, home!)[0]!.section.kind).toBe('band')
  const again = done({ type: 'removeSection', doc: home, section: 'mine' }, site)
  expect(canonicalJson(again)).toBe(canonicalJson(docs))
  const twice = { type: 'loosenPart', doc: home, part: 'header', section: 'more', ids }
  expect(run(twice, site)).toEqual({ ok: false, problem: 'part-here' })
})

test('a part moves among the sections of a page, and goes from it alone', () => {
  const [first] = body(placed, workshops!).order
  const moved = done(
    { type: 'moveSection', doc: workshops, section: 'call', before: first },
    placed,
  )
  expect(body(moved, workshops!).order[0]).toBe('call')
  const removal: Edit = { type: 'removeSection', doc: workshops!, section: 'call' as never }
  const gone = done(removal, moved)
  expect(body(gone, workshops!).order).toEqual(body(docs, workshops!).order)
  expect(written(gone, home!, 'call')).toBeDefined()
  expect(describeEdit(removal, moved)).toBe(`Part ${named} taken from Workshops`)
})

test('where a part was removed nothing stands; the page is whole, and can be tidied', () => {
  const site = done({ type: 'removePart', part: 'call' }, placed)
  expect(written(site, home!, 'call')).toBeUndefined()
  expect(site.frame.body.order).toEqual(docs.frame.body.order)
  const tidy = done({ type: 'removeSection', doc: home, section: 'call' }, site)
  expect(body(tidy, home!).order).toEqual(body(docs, home!).order.slice(0, -1))
})

describe('is refused', () => {
  const ids = fresh(placed, 'frame', 'call', 'own')
  const loosen = { type: 'loosenPart', doc: home, section: 'mine', ids }
  test.each([
    ['a part in itself', { type: 'placePart', doc: 'frame', part: 'call' }, 'part-in-part'],
    ['a part twice on a page', { type: 'placePart', doc: home, part: 'call' }, 'part-here'],
    ['a part that is gone', { type: 'placePart', doc: home, part: 'gone' }, 'part-gone'],
    ['a header among the sections', { type: 'placePart', doc: home, part: 'header' }, 'not-a-part'],
    ['a page that is gone', { type: 'placePart', doc: 'gone', part: 'call' }, 'page-gone'],
    ['keeping what is one already', { ...keep, section: 'call', ids: {} }, 'section-gone'],
    ['an id that a part has', { ...keep, section: 'opening', ids: {} }, 'section-taken'],
    [
      'an id that an element has',
      { ...loosen, part: 'call', ids: { ...ids, [Object.keys(ids)[0]!]: Object.values(ids)[1] } },
      'element-taken',
    ],
    ['loosening what is not here', { ...loosen, doc: 'about', part: 'call' }, 'part-gone'],
    ['removing the footer', { type: 'removePart', part: 'footer' }, 'not-a-part'],
  ])('%s', (_, edit, problem) => {
    expect(run(edit, placed)).toEqual({ ok: false, problem })
  })

  test('a part more than a site or a page holds', () => {
    const order = Array.from({ length: mostSections }, (_, i) => `s-${i}` as never)
    const frame = { ...docs.frame, body: { ...docs.frame.body, order } }
    expect(run({ ...keep, ids: {} }, { ...docs, frame })).toEqual({
      ok: false,
      problem: 'parts-full',
    })
    const page = { ...placed.pages[workshops!]!, body: { ...body(docs, workshops!), order } }
    const pages = { ...placed.pages, [workshops!]: page }
    expect(run({ type: 'placePart', doc: workshops, part: 'call' }, { ...placed, pages })).toEqual({
      ok: false,
      problem: 'sections-full',
    })
  })
})
