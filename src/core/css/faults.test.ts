import fc from 'fast-check'
import { parse } from 'css-tree'
import { cssFaults } from './faults'

const told = (css: string) =>
  cssFaults(css).map(({ start, end, what }) => [what, css.slice(start, end)])

test('each fault is told where it is', () => {
  expect(told('.a { color: red }')).toEqual([])
  expect(told('.a { color: red')).toEqual([['unclosed', '{']])
  expect(told('.a { color: red } }')).toEqual([['stray', '}']])
  expect(told('.a { color: rgb(1, 2, 3; } .b {}')).toEqual([['unclosed', 'rgb(']])
  expect(told('.a { color red; margin: 0 }')).toEqual([['no-colon', 'color red']])
  expect(told('.a { content: "x\n; }').map(([what]) => what)).toContain('torn-text')
  expect(told('@import "other.css"; .a {}')).toEqual([['import', '@import "other.css";']])
  expect(told('.a { background: url(https://far.example/x.png) }')).toEqual([
    ['reaches-out', 'url(https://far.example/x.png)'],
  ])
  expect(told('.a { background: url(assets/moor.jpg) }')).toEqual([])
})

test('what is well formed has no fault: nesting, at-rules, comments, empty ones', () => {
  for (const css of [
    '',
    '/* color red; } */',
    '@media (width > 40rem) { .a { color: red; &:hover { color: blue } } }',
    '@font-face { font-family: x; src: url(assets/x.woff2) }',
    '.a::before { content: "}" } .b { --own: { a: b } }',
    '@layer base, site; .a { margin: 0 }',
    '.a { color: red;; }',
  ]) {
    expect([css, told(css)]).toEqual([css, []])
  }
})

test('whatever it is given, it ends, and tells places inside of it', () => {
  const seed = 20261201
  const bits = [
    '.a',
    '{',
    '}',
    '(',
    ')',
    '[',
    ']',
    'color',
    ':',
    ';',
    'red',
    '"',
    "'",
    'url(',
    '@import ',
    '/*',
    '*/',
    '\n',
    '\\',
    '𝒳',
  ]
  fc.assert(
    fc.property(fc.array(fc.constantFrom(...bits), { maxLength: 40 }), (parts) => {
      const css = parts.join('')
      for (const { start, end } of cssFaults(css)) {
        expect(start).toBeGreaterThanOrEqual(0)
        expect(end).toBeGreaterThan(start)
        expect(end).toBeLessThanOrEqual(css.length)
      }
    }),
    { numRuns: 400, seed },
  )
})

// Source: css-tree's own parser, of rules that are made well and then have a bracket taken out.
test('what css-tree parses without a fault has none here, of random rules', () => {
  const seed = 20261202
  const value = fc.constantFrom(
    'red',
    'rgb(1 2 3 / 40%)',
    'var(--slot-brand)',
    'calc(1px * (2 + 3))',
    '"a;b"',
  )
  const rule = fc
    .tuple(fc.constantFrom('.a', 'a:hover', '[data-x="}"]'), fc.array(value, { maxLength: 4 }))
    .map(
      ([selector, values]) =>
        `${selector} { ${values.map((each) => `color: ${each};`).join(' ')} }`,
    )
  fc.assert(
    fc.property(fc.array(rule, { maxLength: 6 }), (rules) => {
      const css = rules.join('\n')
      const faults: string[] = []
      parse(css, { onParseError: (error) => faults.push(error.message) })
      expect(faults).toEqual([])
      expect(told(css)).toEqual([])
    }),
    { numRuns: 200, seed },
  )
})
