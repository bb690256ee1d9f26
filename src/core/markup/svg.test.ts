import { cleanSvg } from './svg'

const logo =
  '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 40 40"><defs><linearGradient id="a"><stop offset="0" stop-color="#1d5955"/></linearGradient></defs><style>.b{fill:#d65a2a}</style><path class="b" d="M0 0h40v40z"/><circle cx="20" cy="20" r="8" fill="url(#a)"/></svg>'

test('a clean logo keeps its shapes, gradients and style sheet', () => {
  const clean = cleanSvg(logo)!
  for (const part of [
    'viewBox="0 0 40 40"',
    '<linearGradient id="a">',
    '.b{fill:#d65a2a}',
    'fill="url(#a)"',
  ]) {
    expect(clean).toContain(part)
  }
  expect(cleanSvg(clean)).toBe(clean)
})

test.each([
  ['a script', '<script>alert(1)</script>'],
  ['a handler', '<path onload="alert(1)" d="M0 0"/>'],
  [
    'HTML inside',
    '<foreignObject><body onload="alert(1)"><img src=x onerror=alert(1)></body></foreignObject>',
  ],
  ['a link that runs', '<a xlink:href="javascript:alert(1)"><path d="M0 0"/></a>'],
  ['a picture from elsewhere', '<image href="https://example.org/a.png"/>'],
  ['a vector picture as data', '<image href="data:image/svg+xml;base64,PHN2Zz4="/>'],
  ['a use from elsewhere', '<use href="https://example.org/a.svg#b"/>'],
  ['a fill from elsewhere', '<path fill="url(https://example.org/a.svg#b)" d="M0 0"/>'],
  ['an escaped address', '<path fill="u\\72l(https://example.org/)" d="M0 0"/>'],
  ['an import', '<style>@import "https://example.org/a.css";</style>'],
  [
    'a font from elsewhere',
    '<style>@font-face{font-family:a;src:url(https://example.org/a.woff)}</style>',
  ],
  ['a style from elsewhere', '<path style="background:url(https://example.org/a.png)" d="M0 0"/>'],
  ['something that moves', '<animate attributeName="href" values="javascript:alert(1)"/>'],
  ['a set', '<set attributeName="onmouseover" to="alert(1)"/>'],
  ['an end of the style', '<style>a{}</style><script>alert(1)</script><style>b{}</style>'],
  ['a CDATA section', '<style><![CDATA[</style><script>alert(1)</script>]]></style>'],
  [
    'an end of the style in entities',
    '<style>a{}&lt;/style&gt;&lt;script&gt;alert(1)&lt;/script&gt;</style>',
  ],
  ['a comment that ends elsewhere', '<!--><script>alert(1)</script>-->'],
])('%s goes', (_, inner) => {
  const clean = cleanSvg(
    `<?xml version="1.0"?><!DOCTYPE svg [<!ENTITY x "y">]><svg xmlns="http://www.w3.org/2000/svg">${inner}<rect width="1" height="1"/></svg>`,
  )!
  expect(clean).toContain('<rect')
  expect(clean).not.toMatch(
    /script|alert|onload|onerror|example\.org|javascript|foreignObject|<animate|<set|ENTITY/i,
  )
})

test.each([
  ['no picture', 'hello'],
  ['HTML', '<html><body>hi</body></html>'],
  ['one that is too deep', `<svg>${'<g>'.repeat(20_000)}${'</g>'.repeat(20_000)}</svg>`],
  ['one that is too long', `<svg>${' '.repeat(2_000_001)}</svg>`],
])('%s is refused', (_, text) => {
  expect(cleanSvg(text)).toBeUndefined()
})
