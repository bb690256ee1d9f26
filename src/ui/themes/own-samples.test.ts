import { demoSites } from '@demo/sites'
import { kindIds, kindOf, type KindId } from '@/core/elements'
import { siteDocs, themesInOrder, type SiteElement } from '@/core/site'
import { inOwnWords } from './own-samples'
import { specimenPage } from './specimen-page'

const sites = demoSites.map(({ frame, pages, pictures }) =>
  siteDocs(frame, pages, pictures as never),
)

describe.each(sites.map((docs) => [docs.frame.name, docs] as const))('%s', (_, docs) => {
  const own = inOwnWords(docs)
  const themes = themesInOrder(docs.frame.themes)

  test('every sample is content of its kind, and has all that the sample has', () => {
    for (const id of kindIds) {
      for (const { content } of kindOf(id).samples('On Paper')) {
        const shown = own(id, content)
        expect(kindOf(id).content.safeParse(shown).success).toBe(true)
        expect(Object.keys(shown as object)).toEqual(
          expect.arrayContaining(Object.keys(content as object)),
        )
      }
    }
  })

  test('what the site has is shown in its words: navigation, buttons, text', () => {
    const words = Object.values(docs.pages)
      .map(({ body }) => JSON.stringify(body.elements))
      .join()
    const label = (
      own('mainButton', kindOf('mainButton').samples('')[0]!.content) as { label: string }
    ).label
    expect(words).toContain(`"label":${JSON.stringify(label)}`)
    const page = specimenPage(themes, own)
    const held = Object.values(page.body.elements) as SiteElement[]
    expect(held.map(({ kind }) => kind).sort()).toEqual(
      (Object.values(specimenPage(themes).body.elements) as SiteElement[])
        .map(({ kind }) => kind)
        .sort(),
    )
  })
})

test('a link in text stays in it: where the site’s words have none, their last ones are one', () => {
  const text = (runs: object) => ({ kind: 'paragraph', content: { runs, lead: false } })
  const docs = (runs: object) =>
    ({
      frame: { body: { order: [], sections: {}, elements: {} } },
      pictures: {},
      pages: {
        p: {
          body: {
            order: ['s'],
            sections: { s: { id: 's', children: ['e'] } },
            elements: { e: { id: 'e', ...text(runs) } },
          },
        },
      },
    }) as never
  const sample = { runs: [{ text: 'Words, ' }, { text: 'a link', href: '#' }] }
  const shown = (runs: object) =>
    inOwnWords(docs(runs))('paragraph' as KindId, sample) as { runs: object }
  expect(shown([{ text: 'We hire out boats by the hour' }]).runs).toEqual([
    { text: 'We hire out boats by ' },
    { text: 'the hour', href: '#' },
  ])
  // Too short to show text, or nothing but a link: the sample's own words stay.
  expect(shown([{ text: 'Boats' }]).runs).toEqual(sample.runs)
  expect(shown([{ text: 'All our boats and oars', href: '#' }]).runs).toEqual(sample.runs)
  const linked = [{ text: 'On calm days see ' }, { text: 'our boats', href: 'page:x' }]
  expect(shown(linked).runs).toEqual(linked)
})

test('an empty picture is one of the site’s; where it has none it stays a frame', () => {
  const sample = { asset: '', caption: 'Under a picture' }
  const of = (pictures: object) =>
    inOwnWords({
      frame: { body: { order: [], sections: {}, elements: {} } },
      pages: {},
      pictures,
    } as never)('picture' as KindId, sample)
  expect(of({ a1: {} })).toMatchObject({ asset: 'a1' })
  expect(of({})).toEqual(sample)
})
