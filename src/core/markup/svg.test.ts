import { cleanSvg } from './svg'
import { leftOutOfSvg } from './svg-left-out'

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
  [
    'styles that are entities of the document',
    '<!DOCTYPE svg [<!ENTITY st0 "fill:#1c5a54;">]><svg><path style="&st0;"/></svg>',
    'style="fill:#1c5a54;"',
  ],
  [
    'a picture whose elements have a prefix',
    '<svg:svg xmlns:svg="http://www.w3.org/2000/svg"><svg:g><svg:path style="fill:#1c5a54"/></svg:g></svg:svg>',
    '<svg xmlns="http://www.w3.org/2000/svg"><g><path style="fill:#1c5a54"',
  ],
  [
    'a picture of pixels that does not say what it is',
    '<svg><image xlink:href="data:;base64,iVBORw0KGgoAAAANSUhEUg=="/></svg>',
    '<image xlink:href="data:image/png;base64,iVBORw0KGgoAAAANSUhEUg=="',
  ],
  [
    'a gradient, whatever its name, and the colour in its place',
    '<svg><linearGradient id="paint0_linear_1:2 à"/><path fill="url(#paint0_linear_1:2 à) #1c5a54" style="stroke:url(#a:b)" d="M0 0"/></svg>',
    'fill="url(#paint0_linear_1:2 à) #1c5a54" style="stroke:url(#a:b)"',
  ],
  ['nesting', '<svg><style>.a{&.b{fill:red}}</style></svg>', '.a{&amp;.b{fill:red}}'],
  [
    'a range of widths',
    '<svg><style><![CDATA[@media (width < 600px){a{fill:red}}]]></style></svg>',
    '(width &lt; 600px)',
  ],
  [
    'a shadow',
    '<svg><filter id="a" filterUnits="userSpaceOnUse"><feDropShadow dx="1" flood-color="red"/></filter></svg>',
    '<feDropShadow dx="1" flood-color="red"',
  ],
  [
    'a light',
    '<svg><filter id="a"><feDiffuseLighting lighting-color="red"><fePointLight z="5"/></feDiffuseLighting></filter></svg>',
    'lighting-color="red"><fePointLight z="5"',
  ],
  [
    'words along a line, in one language of several',
    '<svg><switch><text systemLanguage="de"><textPath href="#a" startOffset="50%">A</textPath></text></switch></svg>',
    '<switch><text systemLanguage="de"><textPath href="#a" startOffset="50%">',
  ],
])('%s stays', (_, svg, part) => {
  const clean = cleanSvg(svg)!
  expect(clean).toContain(part)
  expect(cleanSvg(clean)).toBe(clean)
  expect(leftOutOfSvg(svg, clean)).toEqual([])
})

test('what says nothing is left away with its name: else the file could be read by nobody', () => {
  const clean = cleanSvg('<svg><path d="" style="" id="a"/><path d="M0 0h1z"/></svg>')!
  expect(clean).toContain('<path id="a"></path><path d="M0 0h1z"></path>')
})

test('where a link stood, what was set of it holds', () => {
  const svg =
    '<svg><a href="https://example.org/" transform="scale(2)"><path d="M0 0h1z"/></a></svg>'
  const clean = cleanSvg(svg)!
  expect(clean).toContain('<g transform="scale(2)"><path d="M0 0h1z"></path></g>')
  expect(leftOutOfSvg(svg, clean)).toEqual(['a'])
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
  [
    'one from elsewhere behind one from here',
    '<path fill="url(#a) url(https://example.org/a.svg#b)" d="M0 0"/>',
  ],
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
