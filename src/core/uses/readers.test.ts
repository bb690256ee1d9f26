import { readCssColors } from './css-reader'

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
      'red',
      'blue',
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
    '.x { --word: red team }',
    '.x { --font: Tan, Coral, serif }',
    '.x { list-style: red; list-style-type: tan }',
    ':root { --id: rebeccapurple } .x { grid-area: var(--id) }',
    ':root { --a: red; --b: var( --a ) } .x { animation-name: var(--b) } .y { grid-area: var(--a, x) }',
    '.x { content: counter(red) string(red) attr(red) target-counter(url(x), red) }',
    '.x { background: paint(red, #fff) element(#abc) }',
    '.x { color: var(--red); border-color: env(red) }',
    '@media { color: red }',
    '@font-face { font-family: red; src: local(red) }',
    '@container style(--red) or style(--x: red team) or (color: red) { }',
    '.x { color: style(--x: red); fill: if(media(red): var(--y); supports(color: red): var(--z)) }',
    '@supports (color: #1c5a54) or style(--x: red) { }',
    '.x { filter: url(#fff); color: r/**/ed }',
  ])('leaves alone what only looks like one: %s', (css) => {
    expect(texts(css)).toEqual([])
  })

  test.each([
    ['.card { .title { color: #111 } }', '#111'],
    // Used as a colour as well, by another property, or by nothing here: it is one.
    [':root { --id: tan } .x { grid-area: var(--id); color: var(--id) }', 'tan'],
    [':root { --a: red; --b: var(--a) } .x { fill: var(--b); grid-area: var(--a) }', 'red'],
    [':root { --id: tan; --other: #111 } .x { grid-area: var(--other) }', 'tan #111'],
    [':root { --a: var(--b); --b: var(--a); --c: tan }', 'tan'],
    ['.card { > b { color: #111 } + i { color: #222 } }', '#111 #222'],
    ['.card { :hover { color: #111 } a:hover { color: #222 } color: #333 }', '#111 #222 #333'],
    [
      '.card { color: #111; @layer x { color: #222; b { color: #333 } } color: #444 }',
      '#111 #222 #333 #444',
    ],
    ['@layer a { @layer b { .c { color: #111 } } }', '#111'],
    ['@scope (.x) { color: #111; b { color: #222 } }', '#111 #222'],
    ['a { @media (x) { color: #111 } --y: { color: #222 } ; color: #333 }', '#111 #222 #333'],
    ['a { color: color-mix(in srgb, #111 20%, rgb(from tan r g b / .5)) }', '#111 tan'],
    ['a { color: light-dark(#111, var(--x, #222)); fill: contrast-color(tan) }', '#111 #222 tan'],
    [
      'a { background: conic-gradient(from 3deg, tan, #111 5%), image-set(linear-gradient(red, red) 1x) }',
      'tan #111 red red',
    ],
    ['@property --x { syntax: "<color>"; inherits: false; initial-value: tan }', 'tan'],
    ['@function --f() { --a: #111; result: light-dark(tan, var(--a)) }', '#111 tan'],
    ['@function --f(--a <color>: tan, --b: 1px, --c: rgb(1, 2, 3)) { x: red }', 'tan rgb(1, 2, 3)'],
    ['@function --f() { @media print { result: tan } color: red }', 'tan'],
    ['@function --f(--tan, --b: "red") { result: 1px } .result { result: red }', ''],
    ['@container style(--x: red) { a { color: #111 } }', 'red #111'],
    [
      '@container card not style((--x: #111) or (--y: Teal) and (--z: rgb(1 2 3))) { }',
      '#111 Teal rgb(1 2 3)',
    ],
    ['@container style( /* x */ --x /* y */ : /* z */ #111 /* w */ ) { }', '#111'],
    [
      'a { color: if(style(--x: #111): tan; style(--y: #222): red; else: #333) }',
      '#111 tan #222 red #333',
    ],
    ['a { --z: if(not style((--x: #111)): #222) }', '#111 #222'],
    ['@font-palette-values --x { override-colors: 0 #111, 1 tan }', '#111 tan'],
    [
      'a { --shadow: 0 1px 2px tan; --line: 1px solid Teal; --stops: red 0%, #111 50% }',
      'tan Teal red #111',
    ],
    ['a { color: r\\65 d; fill: #f\\30 0 }', 'r\\65 d #f\\30 0'],
    ['a { color:/* x */red/* y */!important; fill: /* x */ #111 }', 'red #111'],
    [
      'a { list-style: linear-gradient(red, tan); filter: drop-shadow(0 0 2px red) }',
      'red tan red',
    ],
  ])('finds all of: %s', (css, colors) => {
    const found = readCssColors(css, 'stylesheet')
    expect(found.map(({ text }) => text).join(' ')).toBe(colors)
    for (const { start, text } of found) expect(css.slice(start, start + text.length)).toBe(text)
  })

  test.each([
    ['a { background: -moz-linear-gradient(top, #111, #222) }', false],
    ['a { background: -o-linear-gradient(#111, #222) }', false],
    ['a { color: rgb(1,2,3)\\9 }', false],
    ['a { border: 1px solid #111 \\9 }', false],
    ['a { color: #111 #222 }', false],
    ['a { background: #111, #222 }', false],
    ['@property --x { syntax: "<color>"; initial-value: #111 }', false],
    ['a { background: -webkit-linear-gradient(top, #111, #222) }', true],
    ['a { background: linear-gradient(#111, rgb(from #222 r g b / 50%)) }', true],
    ['a { color: color-mix(in oklch longer hue, #111, currentColor 20%) }', true],
    ['a { color: light-dark(#111, #222) !important }', true],
    ['a { border: 1px solid #111; box-shadow: inset 0 0 1px 2px #222, 0 0 #333 }', true],
    ['a { --x: foo #111 bar }', true],
    ['a { color: var(--x) #111 }', true],
  ])('%s: a slot may stand there: %s', (css, bindable) => {
    const found = readCssColors(css, 'stylesheet')
    expect(found.length).toBeGreaterThan(0)
    for (const find of found) expect(find.bindable).toBe(bindable)
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

/** Quadratic reading would take minutes here, and recursion would not end well. */
describe('a stylesheet that is made to be slow or deep is read all the same', () => {
  const many = 60_000
  test.each([
    ['open rules', 'a{'.repeat(many), 0],
    ['open media rules', '@media x{'.repeat(many), 0],
    ['closed ones', `${'a{'.repeat(many)}color:red${'}'.repeat(many)}`, 1],
    ['open colour functions', `a{color:${'rgb('.repeat(many)}`, 0],
    ['closed ones', `a{color:${'rgb('.repeat(many)}1 2 3${')'.repeat(many)}}`, 1],
    ['references', `a{color:${'var(--x,'.repeat(many)}red${')'.repeat(many)}}`, 1],
    ['mixtures', `a{color:${'light-dark('.repeat(many)}red${')'.repeat(many)}}`, 1],
    ['braces in a custom property', `a{--x${'/**/'.repeat(many)}:${'{}'.repeat(many)}}`, 0],
    ['brackets', `a{--x:${'['.repeat(many)}#123${']'.repeat(many)}}`, 1],
    ['colours in one value', `a{background:linear-gradient(${'red,'.repeat(many)}red)}`, many + 1],
    ['comments', `a{color:${'/**/'.repeat(many)}red${'/**/'.repeat(many)}!important}`, 1],
    ['exclamation marks', `a{color:red${'!'.repeat(many)}important}`, 1],
    ['quotes that do not end', `a{content:${'"\\n'.repeat(many)}`, 0],
    ['conditions', `@container ${'style('.repeat(many)}--x:red${')'.repeat(many)}{}`, 1],
    ['groups of them', `@container style(${'('.repeat(many)}--x:red${')'.repeat(many)}){}`, 1],
    ['many of them', `@container style(${'/**/'.repeat(many)}${'(--x:red)'.repeat(many)}){}`, many],
    ['open ones', `a{color:${'if(style('.repeat(many)}--x:red`, 0],
    ['references to slots', `a{background:${'var(--slot-x) '.repeat(many)}}`, many],
  ])('%s', (_, css, count) => {
    expect(readCssColors(css, 'stylesheet')).toHaveLength(count)
  })
})
