import { demoSites } from '@demo/sites'
import { applyChanges } from '../changes'
import { cleanSnippet, readSvgColors } from '../markup'
import type { Page } from '../site'
import { changesOfHits, planSweep, type SweepRequest } from '../sweep'
import { usesOnPage } from './find-uses'
import { readSnippetColors, readSnippetTexts } from './snippet-reader'
import { unreadInSnippets } from './unread'

const [tern] = demoSites

const svg = (color: string) =>
  `<svg xmlns="http://www.w3.org/2000/svg"><rect fill="${color}"/><style>a{stroke:${color}}</style></svg>`
const percent = (text: string) =>
  `<img src="data:image/svg+xml,${encodeURIComponent(text)}" alt="#1c5a54" />`
const base64 = (text: string) =>
  `<img src="data:image/svg+xml;base64,${Buffer.from(text).toString('base64')}" alt="A sign" />`

/** A page with one snippet, in the place of what else is on it. */
function pageWith(html: string): Page {
  const [page] = Object.values(tern!.pages)
  const content = { name: 'Sign', html }
  const element = { id: 'sign', kind: 'embed', content }
  return { ...page!, body: { ...page!.body, elements: { sign: element } } } as unknown as Page
}
const htmlOf = (page: Page) =>
  (page.body.elements['sign' as never] as unknown as { content: { html: string } }).content.html

function swept(html: string, to: string): string {
  const page = pageWith(html)
  const request: SweepRequest = {
    pairs: [{ from: { value: '#1c5a54', within: 0 }, to: { value: to } }],
    scope: 'site',
  }
  const hits = planSweep(tern!.frame.palette, usesOnPage(tern!.frame, page, readSvgColors), request)
  return htmlOf(
    applyChanges(
      page,
      changesOfHits(hits, () => page),
    )!,
  )
}

test.each([
  ['percent', percent],
  ['base64', base64],
])('a vector picture that a snippet holds itself is swept there, in %s', (escape, write) => {
  const html = cleanSnippet(`<p>Open</p>${write(svg('#1c5a54'))}<p style="color:#1c5a54">x</p>`)
  const found = readSnippetColors(html, readSvgColors)
  expect(found.map((each) => [each.escape, each.property])).toEqual([
    [escape, 'src'],
    [escape, 'src'],
    [undefined, 'color'],
  ])
  for (const { start, text } of found) expect(html.slice(start, start + text.length)).toBe(text)
  const after = swept(html, '#6b2d5c')
  expect(after).toBe(
    cleanSnippet(`<p>Open</p>${write(svg('#6b2d5c'))}<p style="color:#6b2d5c">x</p>`),
  )
  // What a screen reader says is no paint.
  if (escape === 'percent') expect(after).toContain('alt="#1c5a54"')
})

test('pixels and other addresses of a snippet hold nothing to be read', () => {
  for (const src of ['data:image/png;base64,AAAA', 'data:text/plain,%231c5a54']) {
    const html = `<img src="${src}" />`
    expect(readSnippetColors(html, readSvgColors)).toEqual([])
    expect(readSnippetTexts(html)).toEqual([])
    expect(unreadInSnippets(pageWith(html))).toEqual([])
  }
})

test('a picture in a snippet that nobody can read exactly is named', () => {
  const twice = 'data:image/svg+xml,%253Csvg fill=%25231c5a54/%253E'
  const html = `<img src="${twice}" />`
  expect(readSnippetColors(html, readSvgColors)).toEqual([])
  const [unread] = unreadInSnippets(pageWith(html))
  expect(unread).toMatchObject({ why: 'picture', text: twice })
})
