import { demoSites } from '@demo/sites'
import fc from 'fast-check'
import { cleanSnippet } from '../markup'
import { kindIds, type Run } from '../elements'
import { siteFonts } from '../render'
import { applyChanges } from '../changes'
import {
  applyRecordChanges,
  canonicalJson,
  recordsOf,
  type PageId,
  type SiteDocs,
  type SiteElement,
} from '../site'
import { planInMemory, type WideIntent } from '../wide'
import { leavesOf } from './leaves'
import { textOf } from './spot'
import { exchangeAsked, formOf, hitsIn, spotsIn, type ExchangeAsked } from '.'

const seed = Number(process.env.EASEL_SEED ?? Date.now() % 1_000_000)

const tern: SiteDocs = (() => {
  const { frame, pages, pictures } = demoSites[0]!
  return {
    frame,
    pages: Object.fromEntries(pages.map((page) => [page.id, page])),
    pictures: Object.fromEntries((pictures ?? []).map((each) => [each.id, each])),
    fonts: {},
  } as unknown as SiteDocs
})()

const known = {
  frame: tern.frame,
  pictures: tern.pictures,
  hasPage: (id: string) => Object.hasOwn(tern.pages, id),
}

function plan(docs: SiteDocs, asked: ExchangeAsked) {
  const intent: WideIntent = { type: 'exchange', request: { asked: exchangeAsked.parse(asked) } }
  const planned = planInMemory(docs, intent)
  if (!planned.ok) throw new Error(planned.problem)
  return { ...planned, docs: applyRecordChanges(docs, planned.changes) }
}

const wordsOf = (docs: SiteDocs) =>
  recordsOf(docs).flatMap((each) =>
    spotsIn(each, each.record).flatMap((spot) => (spot.sort === 'words' ? [textOf(spot)] : [])),
  )

const runsOf = ({ content }: SiteElement) => (content as { readonly runs: readonly Run[] }).runs

/** The demo site with things on its pages changed. */
function withElement(change: (element: SiteElement) => object | undefined): SiteDocs {
  const pages = Object.fromEntries(
    Object.entries(tern.pages).map(([id, page]) => {
      const elements = Object.fromEntries(
        Object.entries(page.body.elements).map(([key, element]) => [
          key,
          { ...element, ...(change(element) ?? {}) },
        ]),
      )
      return [id, { ...page, body: { ...page.body, elements } }]
    }),
  )
  return { ...tern, pages } as SiteDocs
}

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

describe('words', () => {
  test('are exchanged wherever people read them, and nowhere else', () => {
    const before = wordsOf(tern).filter((text) => /thistle/i.test(text))
    expect(before.length).toBeGreaterThan(2)
    const { docs, count } = plan(tern, {
      of: 'words',
      from: 'thistle',
      to: 'Teasel',
      keepCase: true,
    })
    expect(count).toBeGreaterThanOrEqual(before.length)
    expect(wordsOf(docs).filter((text) => /thistle/i.test(text))).toEqual([])
    // Names of pages, pictures and ids are no words.
    expect(Object.keys(docs.pages)).toEqual(Object.keys(tern.pages))
    expect(docs.frame.customCss).toBe(tern.frame.customCss)
  })

  test.each([
    ['Shop', {}, 'A shop, the Shop, SHOP and shopping', 'A Hall, the Hall, Hall and Hallping'],
    [
      'Shop',
      { sameCase: true },
      'A shop, the Shop, SHOP and shopping',
      'A shop, the Hall, SHOP and shopping',
    ],
    [
      'shop',
      { wholeWords: true },
      'A shop, shop’s, e-shop, shopping',
      'A Hall, Hall’s, e-Hall, shopping',
    ],
    ['shop', { keepCase: true }, 'A shop, the Shop, SHOP', 'A Hall, the Hall, HALL'],
    ['paper  shop', {}, 'a paper\u00a0shop and a paper\nshop', 'a Hall and a Hall'],
    ['café', { wholeWords: true }, 'cafe\u0301, caf\u00e9 and cafés', 'Hall, Hall and cafés'],
    ['a.b(c', {}, 'a.b(c aXb(c', 'Hall aXb(c'],
    ['$&', {}, 'costs $& more', 'costs Hall more'],
  ] as const)('%s, %j', (from, how, text, wanted) => {
    const docs = withElement(({ kind }) =>
      kind === 'mark' || kind === 'paragraph' ? { content: paragraphOf(kind, text) } : undefined,
    )
    const after = plan(docs, { of: 'words', from, to: 'Hall', ...how }).docs
    const texts = Object.values(after.pages).flatMap(({ body }) =>
      Object.values(body.elements).flatMap((element) =>
        element.kind === 'paragraph'
          ? [
              runsOf(element)
                .map((run) => run.text)
                .join(''),
            ]
          : [],
      ),
    )
    expect(texts[0]).toBe(wanted)
  })

  test('are found across a change of their looks: what comes stands where they began', () => {
    const runs = [
      { text: 'Come to the T', strong: true },
      { text: 'ern & This' },
      { text: 'tle, ', em: true },
      { text: 'Thistle' },
    ]
    const docs = withElement(({ kind }) =>
      kind === 'paragraph' ? { content: { runs } } : undefined,
    )
    const { docs: after } = plan(docs, { of: 'words', from: 'Tern & Thistle', to: 'Gull & Gorse' })
    const [first] = Object.values(after.pages).flatMap(({ body }) =>
      Object.values(body.elements).flatMap((each) =>
        each.kind === 'paragraph' ? [runsOf(each)] : [],
      ),
    )
    expect(first).toEqual([
      { text: 'Come to the Gull & Gorse', strong: true },
      { text: '' },
      { text: ', ', em: true },
      { text: 'Thistle' },
    ])
  })

  test('in a snippet are those between its tags and in what is read aloud; its markup stays', () => {
    const html =
      '<p class="tern" style="color: red">Tern &amp; Co, tern</p><img src="data:image/gif;base64,tern" alt="A tern" /><a href="https://tern.example/tern">tern</a>'
    expect(cleanSnippet(html)).toBe(html)
    const docs = withElement(({ kind }) =>
      kind === 'embed' ? { content: { name: 'tern', html } } : undefined,
    )
    const { docs: after } = plan(docs, { of: 'words', from: 'Tern', to: 'Gull <b>"&"' })
    const [written] = Object.values(after.pages).flatMap(({ body }) =>
      Object.values(body.elements).flatMap((each) => (each.kind === 'embed' ? [each.content] : [])),
    )
    const gull = 'Gull &lt;b&gt;&quot;&amp;&quot;'
    expect(written).toEqual({
      name: 'tern',
      html: `<p class="tern" style="color: red">${gull} &amp; Co, ${gull}</p><img src="data:image/gif;base64,tern" alt="A ${gull}" /><a href="https://tern.example/tern">${gull}</a>`,
    })
  })

  test('that would no longer fit are left and told; the others go on', () => {
    const asked = { of: 'words', from: 'Home', to: 'H'.repeat(90) } as const
    const [page] = Object.values(tern.pages)
    const told = hitsIn({ kind: 'page', id: page!.id }, page!, asked, known)
    expect(told.unfit).toContainEqual(
      expect.objectContaining({ why: 'no-room', before: expect.stringMatching(/home/i) }),
    )
    const { docs } = plan(tern, asked)
    expect(docs.pages[page!.id]!.title).toBe(page!.title)
  })
})

function paragraphOf(kind: string, text: string): object {
  return kind === 'mark' ? { text: 'none', tone: 'success' } : { runs: [{ text }] }
}

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

test('whatever is exchanged: what is listed changes and nothing else, snippets stay clean, and back it is the same bytes', () => {
  console.warn(`exchanged texts: EASEL_SEED=${seed}`)
  const texts = wordsOf(tern).filter((text) => text.length > 3)
  const anyWords = fc
    .tuple(fc.constantFrom(...texts), fc.nat(), fc.integer({ min: 1, max: 12 }))
    .map(([text, at, length]) => text.slice(at % text.length).slice(0, length))
    .filter((text) => text.isWellFormed() && text.trim() !== '')
  const anyAsked = fc.record({
    of: fc.constant('words' as const),
    from: anyWords,
    to: fc
      .string({ maxLength: 30, unit: 'grapheme' })
      .filter((text) => !/[\0\u202a-\u202e\u2066-\u2069]/.test(text)),
  })
  fc.assert(
    fc.property(anyAsked, (asked) => {
      fc.pre(asked.from !== asked.to)
      for (const each of recordsOf(tern)) {
        const { hits } = hitsIn(each, each.record, asked, known)
        const { changes = [] } =
          plan(tern, asked).changes.find(({ kind, id }) => kind === each.kind && id === each.id) ??
          {}
        expect(changes.length).toBe(hits.flatMap((hit) => hit.changes).length)
        const after = applyChanges(each.record, changes)!
        const back = [...changes].reverse().map((change) => {
          if (!('at' in change)) throw new Error('a member')
          return { ...change, out: change.in, in: change.out }
        })
        expect(canonicalJson(applyChanges(after, back))).toBe(canonicalJson(each.record))
        for (const spot of spotsIn(each, after)) {
          if (spot.place !== 'embeds') continue
          const { source } = spot.pieces[0]!
          expect(cleanSnippet(source)).toBe(source)
        }
      }
    }),
    { seed, numRuns: 25 },
  )
})
