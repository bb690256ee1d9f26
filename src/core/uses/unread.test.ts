import { readFileSync } from 'node:fs'
import type { Frame } from '../site'
import { readCssColors, readUnreadColors } from './css-reader'
import { unreadInSnippets, unreadInStylesheet } from './unread'

const texts = (css: string) => readUnreadColors(css, 'stylesheet').map(({ text }) => text)

test.each([
  ['a{color:rgb(28 90 84 / var(--a))}', ['rgb(28 90 84 / var(--a))']],
  ['a{color:rgba(var(--brand-rgb), .5)}', ['rgba(var(--brand-rgb), .5)']],
  ['a{background:linear-gradient(hsl(var(--h) 50% 40%), red)}', ['hsl(var(--h) 50% 40%)']],
  [':root{--edge:OKLCH( env(x) 0.1 20 )}', ['OKLCH( env(x) 0.1 20 )']],
  ['@media print{a{&:hover{fill:rgb(var(--r) 0 0)}}}', ['rgb(var(--r) 0 0)']],
])('%s: a colour whose numbers are held elsewhere is named', (css, unread) => {
  expect(texts(css)).toEqual(unread)
  expect(readCssColors(css, 'stylesheet').map(({ text }) => text)).not.toContain(unread[0])
})

test.each([
  ['a colour that is read', 'a{color:rgb(calc(20 + 8) 90 84)}'],
  ['a colour that is made of another', 'a{color:rgb(from var(--edge) r g b / 50%)}'],
  ['a colour of its own inside of one', 'a{color:rgb(from #1c5a54 r var(--g) b)}'],
  ['a custom property alone', 'a{color:var(--edge);--h:120}'],
  ['what is no colour at all', 'a{width:calc(var(--a) * 2);font-family:rgb(var(--r))}'],
  ['a comment', '/* rgb(var(--r)) */'],
  ['a string', 'a::before{content:"rgb(var(--r))"}'],
  ['what browsers drop', 'a{color:rgb(28 90)}'],
  ['a picture that is read', `a{background:url("data:image/svg+xml,%3Csvg fill='%231c5a54'/%3E")}`],
  ['pixels', 'a{background:url(data:image/png;base64,AAAA)}'],
])('%s is not named', (_what, css) => {
  expect(texts(css)).toEqual([])
})

test('a picture whose characters are escaped twice, or are no letters, is named', () => {
  const twice = 'data:image/svg+xml,%253Csvg fill=%25231c5a54/%253E'
  const none = 'data:image/svg+xml;base64,!!!'
  const css = `a{background:url("${twice}")}\nb{background:url(${none})}`
  expect(unreadInStylesheet(css)).toEqual([
    { label: 'Custom CSS, line 1', text: twice, why: 'picture' },
    { label: 'Custom CSS, line 2', text: none, why: 'picture' },
  ])
})

test('a snippet names itself; a long stretch is told by its beginning', () => {
  const html = `<p style="color:rgb(var(--r) 0 0);background:rgb(0 0 0 / var(--${'a'.repeat(99)}))">x</p>`
  const body = {
    elements: {
      e: { id: 'e', kind: 'embed', content: { name: 'Chat', html } },
      p: { id: 'p', kind: 'paragraph', content: { runs: [{ text: 'rgb(var(--r) 0 0)' }] } },
    },
  }
  const found = unreadInSnippets({ title: 'Home', body } as unknown as Frame)
  expect(found.map(({ label, why }) => [label, why])).toEqual([
    ['Home, Chat', 'held-elsewhere'],
    ['Home, Chat', 'held-elsewhere'],
  ])
  expect(found.map(({ text }) => text.length)).toEqual([17, 81])
})

test('what paints in a snippet is looked at as its styles are', () => {
  const html = '<svg><path fill="rgb(var(--r) 0 0)" stroke="#1c5a54"></path></svg>'
  const body = { elements: { e: { kind: 'embed', content: { name: 'Badge', html } } } }
  expect(unreadInSnippets({ body } as unknown as Frame)).toEqual([
    { label: 'Badge', text: 'rgb(var(--r) 0 0)', why: 'held-elsewhere' },
  ])
})

test('every colour function of a real stylesheet is read, or named, or takes numbers that are read', () => {
  // Bootstrap 5 writes most of its colours as rgba() of custom properties that hold three numbers.
  const css = readFileSync('node_modules/bootstrap/dist/css/bootstrap.css', 'utf8')
  const finds = readCssColors(css, 'stylesheet')
  const held = new Set(finds.flatMap(({ escape, property }) => (escape ? [property] : [])))
  expect(held.size).toBeGreaterThan(12)
  expect(finds).toContainEqual(
    expect.objectContaining({ text: '13, 110, 253', css: 'rgb(13, 110, 253)', bindable: false }),
  )
  const told = new Set([...finds, ...readUnreadColors(css, 'stylesheet')].map(({ start }) => start))
  const plain = css.replaceAll(/\/\*[\s\S]*?\*\//g, (all) => ' '.repeat(all.length))
  const left = [...plain.matchAll(/\b(?:rgba?|hsla?)\((?:var\((--[\w-]+)\))?/g)].filter(
    ({ index, 1: property = '' }) => !told.has(index) && !held.has(property),
  )
  expect(left.map(({ index }) => css.slice(index, index + 60))).toEqual([])
})

test.each([
  [':root{--a: 28, 90, 84}b{color:rgba(var(--a), .5)}', [['28, 90, 84', 'rgb(28, 90, 84)']]],
  ['b{color:rgb(var(--a) / 50%)}:root{--a:28 90 84}', [['28 90 84', 'rgb(28 90 84)']]],
  [':root{--a:174 53% 23%}b{color:hsl(var(--a))}', [['174 53% 23%', 'hsl(174 53% 23%)']]],
  [':root{--a:0.43 0.06 186}b{color:oklch(var(--a))}', [['0.43 0.06 186', 'oklch(0.43 0.06 186)']]],
  [
    'a{--a:1,2,3}b{--a:4,5,6}c{color:rgb(var(--a))}',
    [
      ['1,2,3', 'rgb(1,2,3)'],
      ['4,5,6', 'rgb(4,5,6)'],
    ],
  ],
])('%s: numbers that a colour function takes are a colour', (css, wanted) => {
  const finds = readCssColors(css, 'stylesheet')
  expect(finds.map((find) => [find.text, find.css])).toEqual(wanted)
  for (const { start, text } of finds) expect(css.slice(start, start + text.length)).toBe(text)
  expect(texts(css)).toEqual([])
})

test.each([
  [':root{--a:1,2,3}b{color:var(--a)}', 'what nothing takes', 0],
  [':root{--a:1,2,3}b{color:rgb(var(--a))}c{color:hsl(var(--a))}', 'what two kinds take', 2],
  [':root{--a:1 2}b{color:rgb(var(--a) 3)}', 'two numbers', 1],
  [':root{--a:1,2,3}i{--a:var(--b)}b{color:rgb(var(--A))}', 'another name', 1],
  [':root{--a:1,2,3}b{margin:rgb(var(--a))}', 'what is taken for no colour', 0],
])('%s: %s are only numbers', (css, _what, unread) => {
  expect(readCssColors(css, 'stylesheet')).toEqual([])
  expect(texts(css)).toHaveLength(unread)
})

test('numbers that are declared otherwise elsewhere are read where they stand, and named', () => {
  const css = ':root{--a:1,2,3}i{--a:calc(1),2,3}b{color:rgb(var(--a))}'
  expect(readCssColors(css, 'stylesheet').map(({ text }) => text)).toEqual(['1,2,3'])
  expect(texts(css)).toEqual(['rgb(var(--a))'])
})

test('a property that is declared and taken a hundred thousand times takes no longer for each of them', () => {
  const rule = '.p{--a:28, 90, 84;color:rgb(var(--a))}.q{--b:var(--a);fill:rgb(var(--b))}\n'
  const count = 50_000
  const css = rule.repeat(count)
  expect(readCssColors(css, 'stylesheet')).toHaveLength(count)
  expect(texts(css)).toHaveLength(count)
})
