import fc from 'fast-check'
import { wordColors } from '../elements'
import type { Body, SiteDocs, SiteElement } from '../site'

/** Bodies of a site in which something stands, with the document that each lies in. */
const bodiesOf = ({ frame, pages }: SiteDocs) =>
  [
    { doc: 'frame', body: frame.body },
    ...Object.values(pages).map(({ id, body }) => ({ doc: id as string, body })),
  ].filter(({ body }) => body.order.length && Object.keys(body.elements).length)

const someRuns = fc.array(
  fc.record(
    {
      text: fc.constantFrom('Words', ' and\n', 'größer', '<b>', ''),
      strong: fc.boolean(),
      em: fc.boolean(),
      href: fc.constantFrom('page:shop', 'javascript:alert(1)', 'https://example.org'),
      words: fc.constantFrom(...wordColors),
    },
    { requiredKeys: ['text'] },
  ),
  { maxLength: 4 },
)

/** What is written into an element: other words, or the content of another of its kind. */
function anyContent(element: SiteElement, alike: readonly SiteElement[]): fc.Arbitrary<object> {
  const content = element.content as Record<string, unknown>
  const others = alike.filter(({ kind }) => kind === element.kind)
  const whole = fc
    .constantFrom(...others)
    .map((other) => ({ at: [], was: content, to: other.content as object }))
  if (!content.runs) return whole
  const runs = someRuns.map((to) => ({ at: ['runs'], was: content.runs, to }))
  return fc.oneof(runs, whole)
}

const paragraph = (id: string) => ({
  id,
  kind: 'paragraph',
  content: { runs: [{ text: 'New words' }] },
})

const inCard = [
  { id: 'new-card', kind: 'card', content: {}, children: ['new-1'] },
  paragraph('new-1'),
]

/** Edits of what a page is made of, on a site. */
export const structureEdits = {
  setContent: (docs: SiteDocs) =>
    fc.constantFrom(...bodiesOf(docs)).chain(({ doc, body }) => {
      const all = Object.values(body.elements)
      return fc.constantFrom(...all).chain((element) =>
        anyContent(element, all).map((what) => ({
          type: 'setContent',
          doc,
          element: element.id,
          ...what,
        })),
      )
    }),
  continueWords: (docs: SiteDocs) =>
    structureEdits.setContent(docs).map((edit) => ({
      ...edit,
      type: 'continueWords',
      after: [paragraph('new-1'), paragraph('new-2')],
    })),
  joinWords: (docs: SiteDocs) => {
    const pairs = bodiesOf(docs).flatMap(({ doc, body }) =>
      [...Object.values(body.sections), ...Object.values(body.elements)].flatMap(
        ({ children = [] }) =>
          children.slice(1).map((behind, i) => ({
            doc,
            element: body.elements[children[i]!]!,
            behind: body.elements[behind]!,
          })),
      ),
    )
    return fc.constantFrom(...pairs).map(({ doc, element, behind }) => {
      const [was, more] = [element, behind].map(({ content }) => (content as { runs?: [] }).runs)
      return {
        type: 'joinWords',
        doc,
        element: element.id,
        at: ['runs'],
        was,
        to: [...(was ?? []), ...(more ?? [])],
        behind: behind.id,
        behindWas: behind.content,
      }
    })
  },
  addElements: (docs: SiteDocs) =>
    anySeat(docs).map(({ doc, to }) => ({
      type: 'addElements',
      doc,
      to,
      top: ['new-card', 'new-2'],
      elements: [...inCard, paragraph('new-2')],
    })),
  moveElement: (docs: SiteDocs) =>
    anySeat(docs).chain(({ doc, to, ids }) =>
      fc.constantFrom(...ids).map((element) => ({ type: 'moveElement', doc, element, to })),
    ),
  wrapElement: (docs: SiteDocs) =>
    anySeat(docs).chain(({ doc, ids }) =>
      fc.constantFrom(...ids).map((element) => ({
        type: 'wrapElement',
        doc,
        element,
        holder: { id: 'new-row', kind: 'group', content: { arrange: 'row' } },
      })),
    ),
  keepPart: ({ frame, pages }: SiteDocs) =>
    fc.constantFrom(...Object.values(pages)).chain(({ id, body }) =>
      // A page that has lost all its sections: one that it had.
      fc.constantFrom(...body.order, 'gone').map((section) => ({
        type: 'keepPart',
        doc: id,
        section,
        part: `part-${frame.body.order.length}`,
        ids: renamed(body, `p${frame.body.order.length}`),
      })),
    ),
  loosenPart: ({ frame, pages }: SiteDocs) =>
    fc
      .tuple(fc.constantFrom(...Object.values(pages)), fc.constantFrom(...frame.body.order))
      .map(([{ id, body }, part]) => ({
        type: 'loosenPart',
        doc: id,
        part,
        section: `own-${body.order.length}`,
        ids: renamed(frame.body, `o${body.order.length}`),
      })),
  addSection: ({ frame, pages }: SiteDocs) =>
    fc.constantFrom(...Object.values(pages)).chain(({ id, body }) =>
      fc.constantFrom(undefined, ...body.order).map((before) => ({
        type: 'addSection',
        doc: id,
        section: {
          id: 'new-band',
          name: 'New',
          kind: 'band',
          theme: frame.themes.order[0],
          layout: 'stack',
          children: ['new-card'],
        },
        elements: inCard,
        ...(before ? { before } : {}),
      })),
    ),
}

/** New ids for everything in a body. */
const renamed = (body: Body, stem: string) =>
  Object.fromEntries(Object.keys(body.elements).map((id, i) => [id, `${stem}-${i}`]))

/** A seat in some body, perhaps in one of its elements, perhaps before another. */
function anySeat(docs: SiteDocs) {
  return fc.constantFrom(...bodiesOf(docs)).chain(({ doc, body }) => {
    const ids = Object.keys(body.elements)
    const maybe = fc.option(fc.constantFrom(...ids), { nil: undefined })
    return fc
      .record({ section: fc.constantFrom(...body.order), into: maybe, before: maybe })
      .map((to) => ({ doc, ids, to: JSON.parse(JSON.stringify(to)) as object }))
  })
}
