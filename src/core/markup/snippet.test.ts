import fc from 'fast-check'
import { demoSites } from '@demo/sites'
import { readSnippetColors } from '../uses'
import { readHtmlColors } from './html-reader'
import { cleanSnippet, losesByCleaning, withCleanSnippets } from './snippet'

test.each(demoSites)('the snippets of $id are clean', ({ frame, pages }) => {
  expect(withCleanSnippets(frame)).toBe(frame)
  for (const page of Object.values(pages)) expect(withCleanSnippets(page)).toBe(page)
})

test('nothing that runs or loads from elsewhere is left', () => {
  const html = `<p onclick="x()" style="color:red;background:url(//x/y)">hi<script>x()</script>
    <iframe src="//x"></iframe><img src="https://x/y.png" onerror="x()"><style>a{color:red}</style>
    <a href="java&#x09;script:x()">go</a><svg><foreignObject><p>x</p></foreignObject></svg></p>`
  const clean = cleanSnippet(html)
  expect(clean).not.toMatch(/script|onclick|onerror|iframe|x\/y|<style|foreignObject/i)
  expect(clean).toContain('color:red')
})

test.each([
  '<img src="//elsewhere.example/a.png">',
  '<img src="/\\elsewhere.example/a.png">',
  '<img src="\\\\elsewhere.example/a.png">',
  '<img src="/\t/elsewhere.example/a.png">',
  '<img src="&sol;&sol;elsewhere.example/a.png">',
  '<img src="https:elsewhere.example/a.png">',
  '<img src=" //elsewhere.example/a.png">',
  '<svg><rect fill="url(http://elsewhere.example/a#b)"/></svg>',
  '<svg><rect fill="url( \'//elsewhere.example/a#b\')"/></svg>',
  '<svg><path stroke="u\\72l(//elsewhere.example/a#b)"/></svg>',
  '<svg><g fill="url(#a) url(//elsewhere.example/a#b)"/></svg>',
])('a snippet loads nothing from elsewhere: %s', (html) => {
  expect(cleanSnippet(html)).not.toContain('elsewhere')
})

test('a snippet keeps pictures of the site, pictures that it holds, and gradients of its own', () => {
  const html =
    '<img src="assets/shop.jpg" alt="" /><img src="data:image/png;base64,AA" alt="" />' +
    '<a href="//elsewhere.example/">go</a><svg><rect fill="url(#a)"></rect></svg>'
  expect(cleanSnippet(html)).toBe(html)
})

test('an icon of lines stays as it was drawn', () => {
  const icon =
    '<svg viewBox="0 0 24 24" width="24" fill="none" stroke="#1c5a54" stroke-width="2" stroke-linecap="round">' +
    '<g transform="rotate(45 12 12)"><line x1="2" y1="2" x2="22" y2="22"></line>' +
    '<polyline points="9 18 15 12 9 6" stroke-linejoin="round"></polyline>' +
    '<ellipse cx="12" cy="12" rx="3" ry="2" fill="tan" fill-opacity="0.5"></ellipse></g></svg>'
  expect(cleanSnippet(icon)).toBe(icon)
  expect(losesByCleaning(icon)).toBe(false)
  expect(readHtmlColors(icon).map(({ text }) => text)).toEqual(['#1c5a54', 'tan'])
})

/** Markup as hands and tools write it, and as nobody should. */
const piece = fc.constantFrom(
  ...['<p style="color:red">', "<b style='color: &#35;1c5a54; font-family:&quot;A &lt; B&quot;'>"],
  ...['</p>', '</b>', '<svg fill="#abc" class=x>', '<path d=M0 stroke=teal />', '</svg>', 'a < b'],
  ...[
    '<!-- style="color:tan" -->',
    '<script>',
    '</script>',
    '<style>i{color:red}</style>',
    '&lt;p',
  ],
  ...['<p title=\'<i style="color:tan">\'>', '<a href="#abc" style=color:teal>', '&', '"', "'>"],
  ...[
    '<img src="data:image/png;base64,AA" alt="">',
    '<input type=text placeholder="#abc" ',
    '<br>',
  ],
  ...[
    '<i style="color:te&#97l;background:url(x)" style="color:tan">',
    '<td bgcolor="#123">',
    '\r\n',
  ],
  ...['<circle fill="var(--ink)"/>', '<p fill="red" STYLE="Color:RGB(1, 2, 3)">', '\0', '=', '/>'],
)
const markup = fc.array(fc.oneof(piece, fc.string({ maxLength: 4 })), { maxLength: 12 })

test('what is clean stays as it is', () => {
  // One pass over paragraphs in one another makes another pass find more.
  const nested = cleanSnippet('<p style="color:red"><p style="color:red">')
  expect(cleanSnippet(nested)).toBe(nested)
  fc.assert(
    fc.property(markup, (pieces) => {
      const clean = cleanSnippet(pieces.join(''))
      expect(cleanSnippet(clean)).toBe(clean)
    }),
    { numRuns: 4000 },
  )
})

/** What counts wherever it stands. Shapes outside a drawing paint nothing; their colours are told all the same. */
const isAnywhere = ({ property }: { property: string }) => !['fill', 'stroke'].includes(property)

test('the reader of snippets finds what a parser of HTML finds (the reference: parse5)', () => {
  fc.assert(
    fc.property(markup, (pieces) => {
      const clean = cleanSnippet(pieces.join(''))
      const ours = readSnippetColors(clean)
      const theirs = readHtmlColors(clean)
      expect(ours.filter(isAnywhere)).toEqual(theirs.filter(isAnywhere))
      for (const find of theirs) expect(ours).toContainEqual(find)
    }),
    { numRuns: 2000 },
  )
})

test('what is only written in another way loses nothing; whatever is taken out is known', () => {
  for (const html of [
    '',
    '<p class=x>a<br>b</p>',
    '<p style="color:#1c5a54">a &amp; b</p>',
    'a < b',
  ]) {
    expect([html, losesByCleaning(html)]).toEqual([html, false])
  }
  for (const html of [
    '<p onclick="run()">a</p>',
    '<script>run()</script>',
    '<iframe src="https://far.example"></iframe>',
    '<a href="javascript:run()">a</a>',
    '<img src="https://far.example/x.png" alt="">',
    '<p style="background: url(https://far.example/x.png)">a</p>',
  ]) {
    expect([html, losesByCleaning(html)]).toEqual([html, true])
  }
})
