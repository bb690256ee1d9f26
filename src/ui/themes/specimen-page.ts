import { kindIds, kindOf, type Sample } from '@/core/elements'
import {
  siteDocs,
  pageSchema,
  pageVersion,
  type Page,
  type PageId,
  type SiteDocs,
  type Theme,
} from '@/core/site'

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

  constructor(private readonly stem: string) {}

  add(kind: string, content: unknown, children?: readonly string[]): string {
    const id = `${this.stem}-${this.all.length}`
    this.all.push({ id, kind, content, ...(children ? { children } : {}) })
    return id
  }

  /** A sample with all that stands in it. */
  put(kind: string, { content, holds }: Sample): string {
    const children = holds?.map((inner) => this.put(inner.kind, inner))
    return this.add(kind, content, children)
  }
}

/** The samples of every kind of element, those of one row beside each other. */
function elementsOf(stem: string, theme: string) {
  const elements = new Elements(stem)
  const top: Array<{ row?: string; ids: string[] }> = []
  for (const kind of kindIds) {
    for (const sample of kindOf(kind).samples(theme)) {
      const id = elements.put(kind, sample)
      const last = top.at(-1)
      if (sample.row && last?.row === sample.row) last.ids.push(id)
      else top.push({ row: sample.row, ids: [id] })
    }
  }
  const ids = top.map(({ row, ids: own }) =>
    row ? elements.add('group', { arrange: 'row' }, own) : own[0]!,
  )
  return { list: elements.all, top: ids }
}

/** The frame of a site around the specimen: its colours without its header, footer and custom CSS. */
export function specimenDocs(
  { frame, fonts }: Pick<SiteDocs, 'frame' | 'fonts'>,
  page: Page,
): SiteDocs {
  const body = { order: [], sections: {}, elements: {} }
  return siteDocs({ ...frame, body, customCss: '' }, [page], [], Object.values(fonts))
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
