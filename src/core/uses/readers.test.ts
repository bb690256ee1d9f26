import { readCssColors } from './css-reader'
import { readHtmlColors } from './html-reader'

const texts = (css: string) => readCssColors(css, 'stylesheet').map(({ text }) => text)

describe('colours in a stylesheet', () => {
  test('in every notation, each with its exact place', () => {
    const css = `a { color: #1C5A54; border: 1px solid rgb(28 90 84); }
      b { background: linear-gradient(90deg, teal 0%, hsl(174, 53%, 23%) 100%) }
      c { box-shadow: 0 0 2px rgba(28, 90, 84, .3), 0 0 1px oklch(60% 0.1 30) }
      d { --brand: #abc; --word: teal; outline-color: color-mix(in srgb, red, blue) }`
    const found = readCssColors(css, 'stylesheet')
    expect(found.map(({ text }) => text)).toEqual([
      '#1C5A54',
      'rgb(28 90 84)',
      'teal',
      'hsl(174, 53%, 23%)',
      'rgba(28, 90, 84, .3)',
      'oklch(60% 0.1 30)',
      '#abc',
      'teal',
      'color-mix(in srgb, red, blue)',
    ])
    for (const { start, text } of found) expect(css.slice(start, start + text.length)).toBe(text)
  })

  test.each([
    '/* #1c5a54 */',
    '.x::after { content: "#1c5a54" }',
    '#fade { animation: red 2s }',
    '.teal { font-family: Teal, serif }',
    '.x { background: url(#1c5a54) }',
    '.x { background: url("data:image/svg+xml,%231c5a54") }',
    'a[href="#abc"] { grid-area: tan }',
    '.x { color: transparent; background: inherit; border-color: currentColor }',
    '.x { color: #12345; background: rgb(300) }',
    '.x { transition: color 1s; color: var(--other) }',
    '.x { --word: red blue }',
  ])('leaves alone what only looks like one: %s', (css) => {
    expect(texts(css)).toEqual([])
  })

  test('reads on after what it cannot parse', () => {
    expect(texts('.a { color } } .b { color: #123 ; ; : } @media { .c { color: red } }')).toEqual([
      '#123',
      'red',
    ])
  })

  test('a reference to a slot is bound', () => {
    const [found] = readCssColors('a { color: var(--slot-brand) }', 'stylesheet')
    expect(found).toMatchObject({ text: 'var(--slot-brand)', slot: 'brand' })
    const [inside] = readCssColors(
      'a { color: rgb(from var(--slot-ink) r g b / 0.3) }',
      'stylesheet',
    )
    expect(inside).toMatchObject({ slot: 'ink' })
  })

  test('tells what is painted', () => {
    const paints = readCssColors(
      'a { color: red; background: red; border-top: 1px solid red; box-shadow: 0 0 1px red; fill: red }',
      'stylesheet',
    ).map((find) => find.paints)
    expect(paints).toEqual(['text', 'fill', 'line', 'shadow', 'fill'])
  })
})

describe('colours in a snippet', () => {
  test('styles, attributes and style blocks, never words', () => {
    const html = `<p style="color:#1c5a54;margin:0">red #1c5a54</p>
      <svg fill='#ABC'><path stroke="teal" d="M0 0"/></svg>
      <style>.x { color: rgb(1, 2, 3) }</style><a href="#abc" title="teal">x</a>`
    const found = readHtmlColors(html)
    expect(found.map(({ text }) => text)).toEqual(['#1c5a54', '#ABC', 'teal', 'rgb(1, 2, 3)'])
    for (const { start, text } of found) expect(html.slice(start, start + text.length)).toBe(text)
  })

  test('a value with character references is left alone', () => {
    expect(readHtmlColors('<p style="color:&#35;1c5a54">x</p>')).toEqual([])
  })
})
