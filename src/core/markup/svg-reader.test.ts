import { unreadInPicture, unreadInStylesheet } from '../uses'
import { readCss, readSvgColors, readUnreadInAddress, readUnreadInSvg } from './svg-reader'

/** What is found, each checked to stand where it is said to. */
function written(source: string, finds: ReturnType<typeof readSvgColors>): string {
  for (const { start, text } of finds) {
    expect(source.slice(start, start + text.length)).toBe(text)
  }
  return finds.map(({ text, css }) => (css === undefined ? text : `${text}=${css}`)).join(' ')
}

describe('colours of a vector picture', () => {
  test.each([
    ['<svg fill="#ABC"><path stroke=\'teal\' d="#abc"/></svg>', '#ABC teal'],
    ['<svg><stop stop-color="red" style="stop-color:#111;--x:tan"/></svg>', 'red #111 tan'],
    ['<svg fill="&#35;abc" stroke="&#x23;def"/>', '&#35;abc=#abc &#x23;def=#def'],
    [
      '<svg><style>a{fill:#111}<![CDATA[ b{fill:#222} ]]>c{fill:#333}</style></svg>',
      '#111 #222 #333',
    ],
    ['<svg><style>a{fill:&#35;111}</style></svg>', '&#35;111=#111'],
    ['<svg><style><!-- a{fill:#111} -->b{fill:#222}</style></svg>', '#222'],
    [
      '<svg><animate attributeName="fill" values="#111; red ;#333" from="#444" to="tan"/></svg>',
      '#111 red #333 #444 tan',
    ],
    ['<svg><set to="tan" attributeName="stroke"/></svg>', 'tan'],
    ['<svg:svg xmlns:svg="x"><svg:style>a{fill:#111}</svg:style></svg:svg>', '#111'],
    ['<svg fill="currentColor" stroke="none" color="inherit"/>', ''],
    ['<svg fill="url(#red)"><text>red #111</text><g id="red" class="tan"/></svg>', ''],
    ['<svg fill="url(#x) red"/>', 'red'],
    ['<svg><animate attributeName="x" values="red;tan"/><title>#111</title></svg>', ''],
    ['<!-- <g fill="red"/> --><?x fill="red"?><svg/>', ''],
    ['<svg fill="#111"><g fill="#222', '#111'],
    ['<svg FILL="#111"/>', ''],
  ])('%s', (svg, colors) => {
    expect(written(svg, readSvgColors(svg))).toBe(colors)
  })
})

describe('colours of pictures in addresses', () => {
  const held = (value: string) => `a { background: ${value} }`
  test.each([
    [`url("data:image/svg+xml,<svg fill='%231c5a54'/>")`, '%231c5a54=#1c5a54'],
    [
      `url(data:image/svg+xml,%3csvg%20fill=%27%23abc%27%20stroke=%27teal%27/%3e)`,
      '%23abc=#abc teal',
    ],
    [
      `url("data:image/svg+xml;charset=utf8,%3Csvg fill='rgba(0, 0, 0, 0.5)'/%3E")`,
      'rgba(0, 0, 0, 0.5)',
    ],
    [
      `url("data:image/svg+xml,<svg fill='rgb(1%25 2%25 3%25)'/>")`,
      'rgb(1%25 2%25 3%25)=rgb(1% 2% 3%)',
    ],
    [`url("data:image/svg+xml,<svg><style>a{fill:%23111}</style></svg>")`, '%23111=#111'],
    [`URL( 'DATA:IMAGE/SVG+XML;utf8,<svg fill=\\"%23111\\"/>' )`, '%23111=#111'],
    [`image-set("data:image/svg+xml,<svg fill='teal'/>" 1x)`, 'teal'],
    [`url("data:image/svg+xml,%C3%A9<svg fill='teal'/>")`, 'teal'],
    [`url("data:image/svg+xml,<svg fill='%5cteal'/>")`, '%5cteal=\\teal'],
    // A fragment ends the picture; browsers see nothing behind it.
    [`url("data:image/svg+xml,<svg fill='#111' stroke='teal'/>")`, ''],
    [`url("data:image/png,<svg fill='teal'/>")`, ''],
    [`"data:image/svg+xml,<svg fill='teal'/>"`, ''],
  ])('%s', (value, colors) => {
    const css = held(value)
    const finds = readCss(css, 'stylesheet')
    expect(written(css, finds)).toBe(colors)
    for (const find of finds) expect(find).toMatchObject({ escape: 'percent', bindable: false })
  })

  test('in any property, custom ones too, beside colours of the value itself', () => {
    const css = `a { --i: url("data:image/svg+xml,<svg fill='tan'/>"); cursor: url("data:image/svg+xml,<svg fill='red'/>"), auto }
      b { background: #111 url("data:image/svg+xml,<svg fill='%23222'/>") }`
    expect(written(css, readCss(css, 'stylesheet'))).toBe('tan red #111 %23222=#222')
  })

  const encoded = (text: string) => Buffer.from(text).toString('base64')

  test.each([
    [`<svg fill='teal'/>`, 'teal'],
    [`<svg fill='#1c5a54' stroke="rgb(1, 2, 3)"/>`, '#1c5a54 rgb(1, 2, 3)'],
    [`<svg>é😀<style>a{fill:#111;stroke:#222}</style></svg>`, '#111 #222'],
    [`<svg><style>a{background:url("data:image/svg+xml,%3Csvg fill='tan'/%3E")}</style></svg>`, ''],
  ])('in base64: %s', (svg, colors) => {
    const css = held(`url(data:image/svg+xml;base64,${encoded(svg)})`)
    const finds = readCss(css, 'stylesheet')
    expect(finds.map((find) => find.css).join(' ')).toBe(colors)
    const starts = finds.map(({ start }) => start)
    expect(new Set(starts).size).toBe(starts.length)
    for (const find of finds) expect(find).toMatchObject({ escape: 'base64', bindable: false })
  })

  test.each([
    'PHN2ZyBmaWxsPSd0ZWFsJy8',
    'PHN2ZyBmaWxs%3D',
    'PHN2ZyBm aWxsPSd0ZWFsJy8+',
    '/////w==',
    '====',
    '',
  ])('what is no base64 holds nothing: %s', (letters) => {
    expect(readCss(held(`url("data:image/svg+xml;base64,${letters}")`), 'stylesheet')).toEqual([])
  })

  test('pictures in pictures, and an end to that', () => {
    let [svg, css] = ["<svg fill='%23111'/>", '']
    for (let i = 0; i < 12; i += 1) {
      css = `a{background:url("data:image/svg+xml,${svg}")}`
      svg = `<svg><style>${encodeURIComponent(css).replaceAll("'", '%27')}</style></svg>`
    }
    expect(readCss(css, 'stylesheet').length).toBeLessThan(2)
  })
})

describe('a picture that is made to be slow or deep is read all the same', () => {
  const many = 60_000
  test.each([
    ['open tags', '<g>'.repeat(many), 0],
    ['attributes', `<svg ${'fill="#111" '.repeat(many)}/>`, many],
    ['references', `<svg fill="${'&#32;'.repeat(many)}#111"/>`, 1],
    ['steps', `<animate attributeName="fill" values="${'#111;'.repeat(many)}"/>`, many],
    [
      'more steps than a call takes',
      `<animate attributeName="fill" values="${'#1;tan;'.repeat(150_000)}"/>`,
      150_000,
    ],
    ['sections', `<style>${'<![CDATA[a{fill:#111}]]>'.repeat(20_000)}</style>`, 20_000],
    ['quotes', `<svg a="${'"\'>'.repeat(many)}`, 0],
  ])('%s', (_, svg, count) => {
    expect(readSvgColors(svg)).toHaveLength(count)
  })

  test('escapes in an address', () => {
    const css = `a{background:url("data:image/svg+xml,${'%20'.repeat(many)}<svg fill='tan'/>${'%'.repeat(many)}")}`
    expect(readCss(css, 'stylesheet')).toHaveLength(1)
  })
})

test.each([
  [
    'a presentation attribute',
    '<svg>\n<path fill="rgb(var(--r) 0 0)"/></svg>',
    'rgb(var(--r) 0 0)',
  ],
  ['a style', '<svg>\n<path style="stroke:hsl(var(--h) 9% 9%)"/></svg>', 'hsl(var(--h) 9% 9%)'],
  [
    'a style sheet',
    '<svg><style>\na{fill:rgb(1 2 3/var(--a))}</style></svg>',
    'rgb(1 2 3/var(--a))',
  ],
  [
    'a style sheet of characters',
    '<svg><style><![CDATA[\na{fill:rgb(1 2 3/var(--a))}]]></style></svg>',
    'rgb(1 2 3/var(--a))',
  ],
  [
    'a step in time',
    '<svg>\n<animate attributeName="fill" values="red;rgb(var(--r) 0 0)"/></svg>',
    'rgb(var(--r) 0 0)',
  ],
])('%s of a vector picture that cannot be read exactly is named with its line', (_, svg, text) => {
  expect(unreadInPicture('mark.svg', svg, readUnreadInSvg)).toEqual([
    { label: 'mark.svg, line 2', text, why: 'held-elsewhere' },
  ])
  expect(readSvgColors(svg).map((find) => find.text)).not.toContain(text)
})

test('of a picture in CSS, what it takes from elsewhere and pictures in it are named where its address begins', () => {
  const held = (svg: string) => `data:image/svg+xml,${encodeURIComponent(svg)}`
  const inner = held('<svg><path fill="#1c5a54"/></svg>')
  const svg = `<svg><path fill="rgb(var(--r) 0 0)" style="mask:url('${inner}')"/></svg>`
  const css = `a{\nbackground:url("${held(svg)}")}`
  expect(
    unreadInStylesheet(css, readUnreadInAddress).map(({ label, why }) => [label, why]),
  ).toEqual([
    ['Custom CSS, line 2', 'held-elsewhere'],
    ['Custom CSS, line 2', 'picture'],
  ])
  expect(readCss(css, 'stylesheet')).toEqual([])
  // Without colours there is nothing to name.
  const plain = `a{background:url("${held('<svg><path d="M0 0"/></svg>')}")}`
  expect(unreadInStylesheet(plain, readUnreadInAddress)).toEqual([])
})

test('numbers that the picture itself holds are read, and not named', () => {
  const svg = '<svg><style>:root{--g:28,90,84}a{fill:rgba(var(--g),.5)}</style></svg>'
  expect(readUnreadInSvg(svg)).toEqual([])
  expect(readSvgColors(svg).map(({ text }) => text)).toEqual(['28,90,84'])
})
