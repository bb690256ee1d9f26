import { demoSites } from '@demo/sites'
import { siteDocs, type PageId, type SiteDocs } from '../site'
import { applyEdit, describeEdit } from './apply'
import { editSchema, kindOfEdit, type Edit } from './edits'

const { frame, pages } = demoSites[0]!
const docs: SiteDocs = siteDocs(frame, pages)
const run = (edit: unknown, on: SiteDocs = docs) => applyEdit(on, editSchema.parse(edit) as Edit)
const done = (edit: unknown) => {
  const result = run(edit)
  if (!result.ok) throw new Error(result.problem)
  return result.docs
}
const section = (site: SiteDocs, page: string, id: string) =>
  site.pages[page as PageId]!.body.sections[id as never]! as { theme: string }
const opening = { doc: 'home', section: 'opening' }
const bench = { doc: 'home', section: 'bench' }

test('several sections get one theme', () => {
  const site = done({ type: 'setSectionTheme', sections: [opening, bench], theme: 'on-ink' })
  expect(section(site, 'home', 'opening').theme).toBe('on-ink')
  expect(section(site, 'home', 'bench').theme).toBe('on-ink')
  expect(section(site, 'home', 'newsletter')).toBe(section(docs, 'home', 'newsletter'))
})

test('many sections get a theme each, on many pages', () => {
  const edit = {
    type: 'setSectionThemes',
    told: 'A rhythm',
    sections: [
      { ...opening, theme: 'on-mist' },
      {
        doc: 'about',
        section: Object.keys(docs.pages['about' as PageId]!.body.sections)[0],
        theme: 'on-spark',
      },
      { doc: 'frame', section: 'footer', theme: 'on-brand' },
    ],
  }
  const site = done(edit)
  expect(section(site, 'home', 'opening').theme).toBe('on-mist')
  expect(site.frame.body.sections['footer' as never]!['theme']).toBe('on-brand')
  const parsed = editSchema.parse(edit) as Edit
  expect(kindOfEdit(parsed).needs!(parsed)).toEqual([
    { kind: 'page', id: 'home' },
    { kind: 'page', id: 'about' },
  ])
})

test.each([
  ['a theme that is gone', { sections: [opening], theme: 'nowhere' }, 'theme-gone'],
  [
    'a section that is gone',
    { sections: [opening, { doc: 'home', section: 'gone' }], theme: 'on-ink' },
    'section-gone',
  ],
  [
    'a page that is gone',
    { sections: [{ doc: 'gone', section: 'opening' }], theme: 'on-ink' },
    'page-gone',
  ],
])('%s refuses the whole edit', (_what, rest, problem) => {
  expect(run({ type: 'setSectionTheme', ...rest })).toEqual({ ok: false, problem })
})

test('a header that is given a theme no longer blends; blending again forgets nothing', () => {
  const header = { doc: 'frame', section: 'header' }
  const given = done({ type: 'setSectionTheme', sections: [header], theme: 'on-ink' })
  expect(given.frame.body.sections['header' as never]).toMatchObject({ theme: 'on-ink' })
  expect(given.frame.body.sections['header' as never]).not.toHaveProperty('blend')
  const again = run({ type: 'setBlend', section: 'header', blend: true }, given)
  expect(again.ok && again.docs.frame.body.sections['header' as never]).toMatchObject({
    theme: 'on-ink',
    blend: true,
  })
  expect(run({ type: 'setBlend', section: 'nowhere', blend: true })).toEqual({
    ok: false,
    problem: 'section-gone',
  })
})

test('a theme that a section has already changes nothing', () => {
  const { theme } = section(docs, 'home', 'opening')
  const result = run({ type: 'setSectionTheme', sections: [opening], theme })
  expect(result).toMatchObject({ ok: true, changes: [] })
})

test.each([
  [{ type: 'setSectionTheme', sections: [opening], theme: 'on-ink' }, 'Opening: theme On Ink'],
  [
    { type: 'setSectionTheme', sections: [opening, bench], theme: 'on-ink' },
    'Opening and The bench: theme On Ink',
  ],
  [
    {
      type: 'setSectionTheme',
      sections: [opening, bench, { doc: 'home', section: 'newsletter' }],
      theme: 'on-ink',
    },
    '3 sections: theme On Ink',
  ],
  [{ type: 'setBlend', section: 'header', blend: false }, 'Header stands by itself'],
])('%j is told in words', (edit, told) => {
  expect(describeEdit(editSchema.parse(edit) as Edit, docs)).toBe(told)
})
