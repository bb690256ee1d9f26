import { demoSites } from '@demo/sites'
import { roles, roleIds } from '../roles'
import { kindIds, kindOf } from './kinds'
import { escapeHtml, safeHref } from './markup'
import { groundsOfRole } from './pairs'
import { sectionFacets } from './section'

const elements = demoSites.flatMap(({ frame, pages }) =>
  [frame, ...pages].flatMap(({ body }) => Object.values(body.elements)),
)
const write = (element: (typeof elements)[number]) =>
  kindOf(element.kind).html(element.content, {
    root: { class: 'root', 'data-el': element.id },
    children: '<i>child</i>',
    asset: (id) => ({ url: `${id}.jpg`, width: 4, height: 3, alt: 'alt' }),
    link: (href) => href,
    isCurrent: () => false,
  })

test('the demo shows every kind of element', () => {
  expect(new Set(elements.map(({ kind }) => kind))).toEqual(new Set(kindIds))
})

describe.each(kindIds)('%s', (id) => {
  const kind = kindOf(id)
  const examples = elements.filter((element) => element.kind === id)

  test('writes itself in one element that carries its id, with a title to tell it by', () => {
    for (const element of examples) {
      const html = write(element)
      expect(html).toMatch(/^<([a-z0-9]+)[^>]*data-el="/)
      expect(kind.title(element.content).length).toBeGreaterThan(0)
      if (kind.holds) expect(html).toContain('<i>child</i>')
    }
  })

  test('paints only parts that it writes, from roles that there are', () => {
    const keys = kind.facets.map(({ key }) => key)
    expect(new Set(keys).size).toBe(keys.length)
    for (const facet of kind.facets) {
      const named = typeof facet.role === 'string' ? [facet.role] : Object.values(facet.role.of)
      for (const role of [...named, ...(facet.hover ? [facet.hover] : [])]) {
        expect(roleIds).toContain(role)
      }
      if (facet.on) expect(keys).toContain(facet.on)
      if (facet.part)
        expect(examples.some((each) => write(each).includes(`class="${facet.part}"`))).toBe(true)
    }
  })

  test('names no colour in its shape', () => {
    expect(kind.css).not.toMatch(/#[\da-f]{3,8}\b|(?:rgba?|hsla?|oklch)\(/i)
  })
})

test('sections paint their ground', () => {
  expect(sectionFacets.map(({ role }) => role)).toEqual(['ground'])
  expect(groundsOfRole('ground')).toEqual([])
})

describe('links', () => {
  test.each([
    'index.html',
    '#',
    '../a/b?c=d:e#f',
    'https://example.org',
    'mailto:a@example.org',
    'tel:+000',
    '/x',
    '',
  ])('%s leads on', (href) => expect(safeHref(href)).toBe(href))
  test.each([
    'javascript:alert(1)',
    ' JaVaScRiPt:alert(1)',
    'java\nscript:x',
    '\u0001javascript:x',
    'data:text/html,x',
    'vbscript:x',
    'file:///etc/passwd',
  ])('%s leads nowhere', (href) => expect(safeHref(href)).toBe('#'))
})

test('words are escaped for text and for attributes', () => {
  expect(escapeHtml(`<a href="x" title='y'>&`)).toBe(
    '&lt;a href=&quot;x&quot; title=&#39;y&#39;&gt;&amp;',
  )
})
