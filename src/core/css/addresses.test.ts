import { staysInside, surveyCss, withinSite } from './addresses'

const outside = (css: string) =>
  surveyCss(css).addresses.filter(({ address }) => !staysInside(address))
const nowhere = () => undefined

/** Ways in which stylesheets load what lies elsewhere (CSS Cascade 5, Images 4, Fonts 4, Values 5). */
const reaching = [
  '@import "https://evil.test/x.css";',
  '@import url(//evil.test/x.css) layer(x) screen;',
  '@\\69mport "//evil.test"',
  '@IMPORT\n"//evil.test";',
  'a { @import "//evil.test"; }',
  'a { background: url(https://evil.test/x.png) }',
  'a { background: url( "https://evil.test/x.png" ) }',
  "a { background: u\\72l('//evil.test') }",
  'a { background: URL(\\2f/evil.test) }',
  'a { background: url(/api/sites) }',
  'a { background: url(../x.png) }',
  'a { background: url(assets/../../x.png) }',
  'a { background: url(javascript:x) }',
  'a { background: url(data:text/html,x) }',
  'a { background: src("//evil.test") }',
  'a { background: src(var(--x)) }',
  'a { background: image("//evil.test") }',
  'a { background: image-set("//evil.test" 1x, url(assets/x.png) 2x) }',
  'a { background: -webkit-image-set(url(//evil.test) 1x) }',
  'a { --x: "//evil.test"; background: image-set(var(--x) 1x) }',
  'a { --x: url(//evil.test); background: var(--x) }',
  'a { background: image-set(attr(data-x) 1x) }',
  'a { background: cross-fade(url(//evil.test), red) }',
  'a { cursor: url(//evil.test), auto }',
  'a { content: url(//evil.test) }',
  'a { filter: url(//evil.test#x) }',
  'a { mask: url(//evil.test#x); clip-path: url(//evil.test#x) }',
  'a { -moz-binding: url(//evil.test); behavior: url(//evil.test) }',
  'a { list-style: url(//evil.test); border-image: url(//evil.test) 1 }',
  'a { shape-outside: url(//evil.test) }',
  '@font-face { font-family: x; src: url(//evil.test) format("woff2") }',
  '@font-face { font-family: x; src: url(data:font/woff2;base64,x) }',
  '@counter-style x { symbols: url(//evil.test) }',
  '@media x { @supports (y) { a { background: url(//evil.test) } } }',
  '@color-profile --x { src: url(//evil.test) }',

  // An at-keyword inside a value begins no rule, and what follows it is loaded.
  'a { --u: red; background: var(--u,@namespace)url(//evil.test/x.png) }',
  'a { background: var(--u,@namespace) url("//evil.test/x.png") }',
  'a { background: var(--u, {@namespace}) url(//evil.test) }',
  'a { background: var(--u,[@namespace]) image-set("//evil.test" 1x) }',
  'a { background: var(--u,@import) url(//evil.test) }',
  'a { --u: @namespace; background: url(//evil.test) }',
  'a { color: red @namespace url(//evil.test); background: url(//evil.test) }',
  'background:var(--u,@namespace)url(//evil.test)',
  '--u:{}@namespace;background:url(//evil.test)',
  'a { background: var(--u,@NAMESPACE)url(//evil.test) }',
  'a { background: var(--u,@\\6eamespace)url(//evil.test) }',
  'a { background: var(--u,/**/@namespace/**/)url(//evil.test) }',
  'a { x: ]; background: var(--u,@namespace)url(//evil.test) }',
  'a { } b @namespace { background: url(//evil.test) }',

  'a { background: url(//evil.test',
  '@import "//evil.test"',
]

const harmless = [
  'a { background: url(#x); filter: url("#y") }',
  'a { background: url(data:image/png;base64,AAAA) }',
  'a { background: url("data:image/svg+xml,%3Csvg xmlns=\'http://www.w3.org/2000/svg\'/%3E") }',
  'a { background: url(assets/paper.jpg), image-set("assets/x.png" 1x type("image/png")) }',
  'a { content: "https://evil.test"; --x: "//evil.test" }',
  '@namespace svg url(http://www.w3.org/2000/svg); @charset "utf-8";',
  '/* url(//evil.test) @import "x"; */ a::after { content: "@import url(x)" }',
  'a[href="https://x"] { color: red } @font-face { src: local("Karla") }',
  'a { background: url() }',
  // No address: a browser drops what is written so.
  'a { background: url(/*x*/"//evil.test") url(javascript:alert(1)) }',
]

test.each(reaching)(
  'reaches outside, and no longer once it is brought within the site: %s',
  (css) => {
    expect(outside(css).length).toBeGreaterThan(0)
    const safe = withinSite(css, nowhere)
    expect(outside(safe)).toEqual([])
    expect(withinSite(safe, nowhere)).toBe(safe)
  },
)

test.each(harmless)('stays inside, to the letter: %s', (css) => {
  expect(outside(css)).toEqual([])
  expect(withinSite(css, nowhere)).toBe(css)
})

test('files of the site are given where they lie', () => {
  const css = 'a { background: url(assets/a.png), image-set("./assets/b.png" 1x) } b { color: red }'
  const placed = withinSite(css, (file) =>
    file === 'a.png' || file === 'b.png' ? `/files/${file}` : undefined,
  )
  expect(placed).toBe(
    'a { background: url("/files/a.png"), image-set("/files/b.png" 1x) } b { color: red }',
  )
})

test('tells how deep blocks and brackets stand in one another', () => {
  expect(surveyCss('a { b { color: rgb(calc(1)) } }').depth).toBe(4)
  expect(surveyCss('@media x {'.repeat(50_000)).depth).toBe(50_000)
  expect(surveyCss('a{}').depth).toBe(1)
})
