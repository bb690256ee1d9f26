import { kindIds, kindOf, type KindId, type Sample } from '@/core/elements'
import {
  siteDocs,
  pageSchema,
  pageVersion,
  type Page,
  type PageId,
  type SiteDocs,
  type Theme,
} from '@/core/site'
import type { InOwnWords } from './own-samples'

/** The id of the page that only the specimen shows. */
export const specimenId = 'specimen' as PageId

interface Shown {
  readonly id: string
  readonly kind: string
  readonly content: unknown
  readonly children?: readonly string[]
}

/** Elements of a section in the making, each with an id of its own. */
class Elements {
  readonly all: Shown[] = []

  constructor(
    private readonly stem: string,
    private readonly own: InOwnWords,
  ) {}

  add(kind: string, content: unknown, children?: readonly string[]): string {
    const id = `${this.stem}-${this.all.length}`
    this.all.push({ id, kind, content, ...(children ? { children } : {}) })
    return id
  }

  /** A sample with all that stands in it. */
  put(kind: string, { content, holds }: Sample): string {
    const children = holds?.map((inner) => this.put(inner.kind, inner))
    return this.add(kind, this.own(kind as KindId, content), children)
  }
}

/** The samples of every kind of element, those of one row beside each other. */
function elementsOf(stem: string, theme: string, own: InOwnWords) {
  const elements = new Elements(stem, own)
  const top: Array<{ row?: string; ids: string[] }> = []
  for (const kind of kindIds) {
    for (const sample of kindOf(kind).samples(theme)) {
      // The heading says which theme it is.
      const id =
        kind === 'heading' ? elements.add(kind, sample.content) : elements.put(kind, sample)
      const last = top.at(-1)
      if (sample.row && last?.row === sample.row) last.ids.push(id)
      else top.push({ row: sample.row, ids: [id] })
    }
  }
  const ids = top.map(({ row, ids: beside }) =>
    row ? elements.add('group', { arrange: 'row' }, beside) : beside[0]!,
  )
  return { list: elements.all, top: ids }
}

/** The frame of a site around the specimen: its colours and pictures without its header, footer and custom CSS. */
export function specimenDocs(
  { frame, fonts, pictures }: Pick<SiteDocs, 'frame' | 'fonts' | 'pictures'>,
  page: Page,
): SiteDocs {
  const body = { order: [], sections: {}, elements: {} }
  const plain = { ...frame, body, customCss: '' }
  return siteDocs(plain, [page], Object.values(pictures), Object.values(fonts))
}

const inSampleWords: InOwnWords = (_kind, sample) => sample

/** A page with a section for each theme, every kind of element in each; in the words of samples unless a site's own are given. */
export function specimenPage(themes: readonly Theme[], own: InOwnWords = inSampleWords): Page {
  const sections = themes.map((theme, i) => ({
    id: `specimen-${i}`,
    theme,
    ...elementsOf(`s${i}`, theme.name, own),
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
