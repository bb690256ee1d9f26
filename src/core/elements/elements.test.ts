import { roleIds } from '../roles'
import type { ElementKind } from './kind'
import { kindIds, kindOf, type KindId } from './kinds'
import { escapeHtml, safeHref } from './markup'
import { groundsOfRole } from './pairs'
import { wordColors, type Runs } from './runs'
import { sectionFacets } from './section'

const write = (kind: ElementKind, content: unknown) =>
  kind.html(content, {
    root: { class: 'root', 'data-el': 'an-id' },
    children: '<i>child</i>',
    asset: (id) => ({ url: `${id}.jpg`, width: 4, height: 3, alt: 'alt', narrower: [] }),
    room: 1080,
    isFirst: true,
    within: { kind: 'band', name: 'Section', before: () => 0 },
    link: (href) => href,
    isCurrent: (href) => href.startsWith('page:'),
    isEdited: false,
    words: () => ({}),
  })

/** Words in every colour that words can have, and a link. */
const everyWord: Runs = [
  ...wordColors.map((words) => ({ text: words, words })),
  { text: 'link', href: '#' },
]

describe.each(kindIds)('%s', (id) => {
  const kind = kindOf(id)
  const samples = kind.samples('Paper')

  test('gives samples of its colours that its own schema takes', () => {
    expect(samples.length > 0).toBe(kind.facets.length > 0)
    for (const { content, holds = [] } of samples) {
      expect(kind.content.safeParse(content).error).toBeUndefined()
      for (const inner of holds) {
        expect(kindIds).toContain(inner.kind)
        expect(kindOf(inner.kind as KindId).content.safeParse(inner.content).success).toBe(true)
      }
    }
    for (const { role } of kind.facets) {
      if (typeof role === 'string') continue
      const shown = samples.map(({ content }) => (content as Record<string, string>)[role.by])
      expect(shown.sort()).toEqual(Object.keys(role.of).sort())
    }
  })

  test('writes itself in one element that carries its id, with a title to tell it by', () => {
    for (const { content } of samples) {
      const html = write(kind, content)
      expect(html).toMatch(/^<([a-z0-9]+)[^>]*data-el="/)
      expect(kind.title(content).length).toBeGreaterThan(0)
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
      if (!facet.part) continue
      const written = samples.flatMap(({ content }) => [
        write(kind, content),
        write(kind, { ...(content as object), runs: everyWord }),
      ])
      expect(written.some((html) => html.includes(`class="${facet.part}"`))).toBe(true)
    }
  })

  test('names no colour in its shape', () => {
    expect(kind.css).not.toMatch(/#[\da-f]{3,8}\b|(?:rgba?|hsla?|oklch)\(/i)
  })
})

test('sections paint their ground', () => {
  expect(sectionFacets.map(({ key, role }) => `${key} ${role}`)).toEqual([
    'fill ground',
    'fillTablet ground',
    'fillPhone ground',
  ])
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
