import { kindIds } from '../elements'
import { siteFonts } from '../render'
import { canonicalJson, type PageId, type SiteDocs } from '../site'
import { planInMemory } from '../wide'
import { known, plan, runsOf, tern, withElement } from './exchange.fixture'
import { leavesOf } from './leaves'
import { exchangeAsked, formOf, hitsIn, type ExchangeAsked } from '.'

test('every kind of element says where its words, links and pictures are', () => {
  const told = Object.fromEntries(
    kindIds.map((kind) => [
      kind,
      leavesOf(kind)
        .map(({ at, as }) => `${at.join('.')}: ${as}`)
        .join(', '),
    ]),
  )
  expect(told).toMatchObject({
    heading: 'runs: runs',
    embed: 'html: html',
    navigation: 'items.*.label: words, items.*.href: link',
    gallery: 'items.*.asset: picture, items.*.caption: words',
    priceTable: 'head.*: words, rows.*.*: words',
    iconList: 'items.*.text: words',
    form: expect.stringContaining('label: words'),
    socialLinks: 'items.*.label: words, items.*.href: link',
    mark: 'text: words',
    group: '',
    divider: '',
  })
})

describe('typefaces', () => {
  const css = `h1 { font-family: Alpha, "Beta Gamma", serif }
.x { font: italic 700 1.2em/1.4 'beta gamma', sans-serif; --alpha: 1 }
:root { --text: Alpha, serif; --alpha-note: "Alpha" }
@font-face { font-family: Alpha; src: url(assets/a.woff2) }
.y { font-family: beta   gamma, Alpha; content: "Alpha"; animation: Alpha 1s } /* Alpha */`
  const docs: SiteDocs = { ...tern, frame: { ...tern.frame, customCss: css } }

  test('are exchanged where CSS uses them: declarations and comments stay', () => {
    expect(plan(docs, { of: 'font', from: 'alpha', to: 'Work Sans' }).docs.frame.customCss).toBe(
      css
        .replace('h1 { font-family: Alpha', 'h1 { font-family: Work Sans')
        .replace('--text: Alpha', '--text: Work Sans')
        .replace('gamma, Alpha', 'gamma, Work Sans'),
    )
    expect(plan(docs, { of: 'font', from: 'Beta Gamma', to: '3 Stars' }).docs.frame.customCss).toBe(
      css
        .replace('"Beta Gamma"', '"3 Stars"')
        .replace("'beta gamma'", "'3 Stars'")
        .replace('beta   gamma', '"3 Stars"'),
    )
  })

  test('are exchanged in the settings of the site', () => {
    const { bodyFace } = tern.frame.settings
    const to = siteFonts.find(({ family }) => family !== bodyFace)!.family
    const { settings } = plan(tern, { of: 'font', from: bodyFace, to }).docs.frame
    expect(settings.bodyFace).toBe(to)
    expect(Object.values(settings)).not.toContain(bodyFace)
  })
})

test('a picture is exchanged wherever it is shown, by id and by file name', () => {
  const [from, to] = Object.keys(tern.pictures) as [string, string]
  const { fileName } = tern.pictures[from]!
  const css = `.a { background: url("assets/${fileName}") } .b { background: url(assets/x-${fileName}) }`
  const docs: SiteDocs = { ...tern, frame: { ...tern.frame, customCss: css } }
  const { docs: after } = plan(docs, { of: 'picture', from, to } as ExchangeAsked)
  expect(canonicalJson(after.pages)).not.toContain(`"asset":"${from}"`)
  expect(after.frame.customCss).toBe(
    css.replace(`"assets/${fileName}"`, `"assets/${tern.pictures[to]!.fileName}"`),
  )
})

test('a link is exchanged as a whole; a snippet cannot lead to a page by its id, and that is told', () => {
  const [page, other] = Object.keys(tern.pages) as [PageId, PageId]
  const html = '<a href="https://shop.example/?a=1&amp;b=2">there</a>'
  const docs = withElement(({ kind }) =>
    kind === 'embed' ? { content: { name: 'x', html } } : undefined,
  )
  const asked = { of: 'link', from: 'https://shop.example/?a=1&b=2', to: `page:${other}` } as const
  expect(plan(docs, asked).count).toBe(0)
  const told = Object.values(docs.pages).flatMap(
    (each) => hitsIn({ kind: 'page', id: each.id }, each, asked, known).unfit,
  )
  expect(told.length).toBeGreaterThan(0)
  expect(told[0]).toMatchObject({ why: 'no-snippet' })
  const elsewhere = plan(docs, { ...asked, to: 'mailto:a@b.example?subject="x"&body=y' })
  expect(canonicalJson(elsewhere.docs.pages)).toContain(
    JSON.stringify('mailto:a@b.example?subject=&quot;x&quot;&amp;body=y').slice(1, -1),
  )
  const pages = plan(tern, { of: 'link', from: `page:${page}`, to: `page:${other}` })
  expect(canonicalJson([pages.docs.pages, pages.docs.frame.body])).not.toContain(`"page:${page}"`)
})

describe('addresses', () => {
  test.each([
    ['hello@tern.example', 'mail'],
    ['+44 1234 567890', 'phone'],
    ['(01234) 567-890', 'phone'],
    ['https://tern.example/shop?x=1', 'web'],
    ['tern.example', 'web'],
    ['tern', undefined],
    ['a b@c.d', undefined],
    ['12.5', undefined],
  ])('%s is %s', (text, form) => expect(formOf(text)).toBe(form))

  const of = 'address'
  test.each([
    [
      'mail in words and links, whatever its case',
      { of, from: 'hello@tern.example', to: 'post@gull.example' },
      [
        {
          text: 'Write to Hello@tern.example. Not to xhello@tern.example or hello@tern.example.org',
        },
        { text: 'here', href: 'mailto:hello@tern.example?subject=Hi' },
      ],
      [
        {
          text: 'Write to post@gull.example. Not to xhello@tern.example or hello@tern.example.org',
        },
        { text: 'here', href: 'mailto:post@gull.example?subject=Hi' },
      ],
    ],
    [
      'telephone numbers however they are parted',
      { of, from: '+44 1234 567890', to: '+44 9999 111 222' },
      [
        { text: 'Call +44 (1234) 567-890 or +44 1234 5678901' },
        { text: 'now', href: 'tel:+441234567890' },
        { text: 'no', href: 'https://x.example/441234567890' },
      ],
      [
        { text: 'Call +44 9999 111 222 or +44 1234 5678901' },
        { text: 'now', href: 'tel:+449999111222' },
        { text: 'no', href: 'https://x.example/441234567890' },
      ],
    ],
    [
      'a place on the web and all below it, no other that only begins alike',
      { of, from: 'tern.example', to: 'gull.example' },
      [
        { text: 'See tern.example, tern.examples and my.tern.example' },
        { text: 'shop', href: 'https://tern.example/shop?x=1#y' },
      ],
      [
        { text: 'See gull.example, tern.examples and my.tern.example' },
        { text: 'shop', href: 'https://gull.example/shop?x=1#y' },
      ],
    ],
  ] as const)('%s', (_what, asked, runs, wanted) => {
    const docs = withElement(({ kind }) =>
      kind === 'paragraph' ? { content: { runs } } : undefined,
    )
    const { docs: after } = plan(docs, asked)
    const [first] = Object.values(after.pages).flatMap(({ body }) =>
      Object.values(body.elements).flatMap((each) =>
        each.kind === 'paragraph' ? [runsOf(each)] : [],
      ),
    )
    expect(first).toEqual(wanted)
  })
})

test.each([
  [{ of: 'words', from: '', to: 'x' }, 'nothing-sought'],
  [{ of: 'words', from: 'x', to: 'x' }, 'same-thing'],
  [{ of: 'font', from: 'A  B', to: 'a b' }, 'same-thing'],
  [{ of: 'link', from: '#', to: 'javascript:alert(1)' }, 'no-target'],
  [{ of: 'link', from: '#', to: 'page:nowhere' }, 'target-gone'],
  [{ of: 'link', from: '#', to: 'add-on:none' }, 'target-gone'],
  [{ of: 'address', from: 'a@b.example', to: 'b.example' }, 'no-target'],
  [{ of: 'address', from: 'https://b.example', to: 'c.example' }, 'no-target'],
  [{ of: 'picture', from: 'logo', to: 'nothing' }, 'target-gone'],
] as const)('%j is refused: %s', (asked, problem) => {
  const request = { asked: exchangeAsked.parse(asked) }
  expect(planInMemory(tern, { type: 'exchange', request })).toEqual({ ok: false, problem })
})
