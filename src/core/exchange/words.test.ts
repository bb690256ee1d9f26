import fc from 'fast-check'
import { applyChanges } from '../changes'
import { cleanSnippet } from '../markup'
import { canonicalJson, recordsOf } from '../site'
import { known, plan, runsOf, tern, withElement, wordsOf } from './exchange.fixture'
import { hitsIn, spotsIn } from '.'

const seed = Number(process.env.EASEL_SEED ?? Date.now() % 1_000_000)

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
    ['shop ', { wholeWords: true }, 'a shop by, a shop', 'a Hallby, a shop'],
    ['(shop)', { wholeWords: true }, 'a(shop)b', 'aHallb'],
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

test('a name that would begin with a blank, or be none, is left and told', () => {
  const [page] = Object.values(tern.pages)
  const titled = { ...page!, title: 'Our shop' }
  const ref = { kind: 'page', id: page!.id } as const
  for (const from of ['Our', 'Our shop']) {
    const { hits, unfit } = hitsIn(ref, titled, { of: 'words', from, to: '' }, known)
    expect(unfit).toContainEqual(expect.objectContaining({ why: 'no-room', before: from }))
    expect(hits.filter(({ property }) => property === 'title')).toEqual([])
  }
  const { hits } = hitsIn(ref, titled, { of: 'words', from: 'Our ', to: '' }, known)
  expect(hits.filter(({ property }) => property === 'title')).toHaveLength(1)
})

function paragraphOf(kind: string, text: string): object {
  return kind === 'mark' ? { text: 'none', tone: 'success' } : { runs: [{ text }] }
}

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
