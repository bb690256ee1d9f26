import { readHtmlColors } from './html-reader'

describe('colours in HTML', () => {
  test('styles, attributes and style blocks, never words', () => {
    const html = `<p style="color:#1c5a54;margin:0">red #1c5a54</p>
      <svg fill='#ABC'><path stroke="teal" d="M0 0"/></svg>
      <style>.x { color: rgb(1, 2, 3) }</style><a href="#abc" title="teal">x</a>`
    const found = readHtmlColors(html)
    expect(found.map(({ text }) => text)).toEqual(['#1c5a54', '#ABC', 'teal', 'rgb(1, 2, 3)'])
    for (const { start, text } of found) expect(html.slice(start, start + text.length)).toBe(text)
  })

  test('however a value is written: its place is that in the source', () => {
    const html = `<p style="color:&#35;1c5a54; background: &#x72;ed&semi;border-color:te&#97l">x</p>
      <svg fill="&num;abc"><style>a { color: #123; } b > c { fill: r&#101;d } &gt; d { fill: tan }
        <![CDATA[ e > f { color: teal } ]]></style></svg>`
    for (const source of [html, html.replaceAll('\n', '\r\n'), html.replaceAll('\n', '\r')]) {
      const found = readHtmlColors(source)
      const read = found.map(({ text, css = text }) => css)
      expect(read).toEqual(['#1c5a54', 'red', 'teal', '#abc', '#123', 'red', 'tan', 'teal'])
      for (const { start, text } of found)
        expect(source.slice(start, start + text.length)).toBe(text)
    }
  })

  test('CSS lets a slot stand in attributes of SVG, old HTML only a value', () => {
    const found = readHtmlColors(
      '<td bgcolor="#1c5a54"><svg><path fill="#1c5a54" stroke="abc"/></svg></td><p fill="red">x</p>',
    )
    expect(found.map(({ text, bindable }) => [text, bindable])).toEqual([
      ['#1c5a54', false],
      ['#1c5a54', true],
    ])
    const table = readHtmlColors('<table bgcolor="1c5a54"></table><font color="red">x</font>')
    expect(table.map(({ text, bindable }) => [text, bindable])).toEqual([
      ['1c5a54', false],
      ['red', false],
    ])
  })

  test('markup of any depth is read', () => {
    const deep = `${'<div>'.repeat(20_000)}<b style="color:red">x</b>`
    expect(readHtmlColors(deep).map(({ text }) => text)).toEqual(['red'])
  })
})
