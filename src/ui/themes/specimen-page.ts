import {
  siteDocs,
  pageSchema,
  pageVersion,
  type Frame,
  type Page,
  type PageId,
  type SiteDocs,
  type Theme,
} from '@/core/site'

/** The id of the page that only the specimen shows. */
export const specimenId = 'specimen' as PageId

/** One of every kind of element that a theme colours, in the words of a made-up shop. */
function elementsOf(stem: string, theme: string) {
  const id = (name: string) => `${stem}-${name}`
  const words = [
    { text: 'Sewn notebooks, marbled papers and ' },
    { text: 'weekend workshops', href: '#' },
    { text: ' for people who like to make things that last.' },
  ]
  const list = [
    { id: id('title'), kind: 'heading', content: { text: theme, level: 2 } },
    { id: id('words'), kind: 'paragraph', content: { runs: words } },
    {
      id: id('fine'),
      kind: 'finePrint',
      content: { runs: [{ text: 'Small words, in the muted tone' }] },
    },
    { id: id('main'), kind: 'mainButton', content: { label: 'Book a place' } },
    { id: id('quiet'), kind: 'quietButton', content: { label: 'See the papers' } },
    {
      id: id('row'),
      kind: 'group',
      content: { arrange: 'row' },
      children: [id('main'), id('quiet')],
    },
    {
      id: id('nav'),
      kind: 'navigation',
      content: {
        items: [
          { label: 'Workshops', href: '#' },
          { label: 'Shop', href: '#' },
        ],
      },
    },
    {
      id: id('icons'),
      kind: 'iconList',
      content: {
        items: [
          { icon: 'leaf', text: 'Paper from rags' },
          { icon: 'needle', text: 'Sewn by hand' },
        ],
      },
    },
    { id: id('good'), kind: 'mark', content: { tone: 'success', text: '6 places' } },
    { id: id('care'), kind: 'mark', content: { tone: 'warning', text: '2 places' } },
    { id: id('bad'), kind: 'mark', content: { tone: 'danger', text: 'Full' } },
    {
      id: id('marks'),
      kind: 'group',
      content: { arrange: 'row' },
      children: [id('good'), id('care'), id('bad')],
    },
    {
      id: id('quote'),
      kind: 'quote',
      content: { text: 'It opens flat, and stays so.', source: 'Mabel Orrin' },
    },
    { id: id('in-card'), kind: 'heading', content: { text: 'On a card', level: 3 } },
    {
      id: id('in-card-words'),
      kind: 'paragraph',
      content: { runs: [{ text: 'Words and ' }, { text: 'a link', href: '#' }] },
    },
    { id: id('in-card-quiet'), kind: 'quietButton', content: { label: 'Reserve' } },
    {
      id: id('card'),
      kind: 'card',
      content: {},
      children: [id('in-card'), id('in-card-words'), id('in-card-quiet')],
    },
    { id: id('line'), kind: 'divider', content: {} },
    {
      id: id('prices'),
      kind: 'priceTable',
      content: { head: ['Day', 'Price'], rows: [['Saturday', '85']] },
    },
    {
      id: id('form'),
      kind: 'form',
      content: {
        fields: [
          { label: 'Your name', hint: 'Mabel Orrin', type: 'text' },
          { label: 'Mail', hint: 'mabel@example.org', type: 'email' },
        ],
      },
      children: [],
    },
  ]
  const inside = new Set(
    list.flatMap((element) => ('children' in element ? (element.children as string[]) : [])),
  )
  return { list, top: list.map((element) => element.id).filter((each) => !inside.has(each)) }
}

/** The frame of a site around the specimen: its colours without its header, footer and custom CSS. */
export function specimenDocs(frame: Frame, page: Page): SiteDocs {
  const body = { order: [], sections: {}, elements: {} }
  return siteDocs({ ...frame, body, customCss: '' }, [page])
}

/** A page with a section for each theme, every kind of element in each. */
export function specimenPage(themes: readonly Theme[]): Page {
  const sections = themes.map((theme, i) => ({
    id: `specimen-${i}`,
    theme,
    ...elementsOf(`s${i}`, theme.name),
  }))
  return pageSchema.parse({
    schema: pageVersion,
    id: specimenId,
    order: 'a0',
    title: 'Specimen',
    path: 'specimen',
    description: '',
    body: {
      order: sections.map(({ id }) => id),
      sections: Object.fromEntries(
        sections.map(({ id, theme, top }) => [
          id,
          { id, name: theme.name, kind: 'band', theme: theme.id, layout: 'stack', children: top },
        ]),
      ),
      elements: Object.fromEntries(
        sections.flatMap(({ list }) => list.map((element) => [element.id, element])),
      ),
    },
  })
}
