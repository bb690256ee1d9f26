import { baseStyle, baseStyles, kindOf, type KindId, type StyledKind } from '@/core/elements'
import {
  pageSchema,
  pageVersion,
  type Frame,
  type Page,
  type PageId,
  type Theme,
} from '@/core/site'
import type { InOwnWords } from '../themes'

/** The id of the page that shows element styles and nothing else. */
export const stylesPageId = 'styles' as PageId

interface Shown {
  readonly id: string
  readonly name: string
  readonly kind: KindId
  /** The style that it is given; base styles come by themselves. */
  readonly style?: string
  readonly content: unknown
}

const isOfElements = (kind: StyledKind): kind is KindId => kind !== 'section' && kind !== 'link'

/** What each style is drawn on: the first sample of its kind that the style is for. */
function shownStyles(frame: Frame, theme: string, ownWords: InOwnWords): Shown[] {
  const given = Object.values(frame.styles).filter(({ id }) => !baseStyle(id))
  const bases = baseStyles.flatMap((base) => {
    if (!isOfElements(base.kind)) return []
    const samples = kindOf(base.kind).samples(theme)
    const own = samples.find(({ content }) => !base.is || base.is(content as never))
    const content = own?.content ?? baseContent(base.kind, base.id, samples[0]?.content)
    return content === undefined
      ? []
      : [{ id: base.id, name: base.label, kind: base.kind, content: ownWords(base.kind, content) }]
  })
  return bases.flatMap((base) => {
    const first = bases.find(({ kind }) => kind === base.kind) === base
    const variants = first ? given.filter(({ kind }) => kind === base.kind) : []
    return [
      base,
      ...variants.map(({ id, name }) => ({
        id,
        name,
        kind: base.kind,
        style: id as string,
        content: base.content,
      })),
    ]
  })
}

/** A sample in the words that a base style is for, where none of the samples has them. */
function baseContent(kind: KindId, base: string, sample: unknown): unknown {
  if (kind === 'heading') return { ...(sample as object), level: Number(base.at(-1)) }
  if (kind === 'paragraph') return { ...(sample as object), lead: base === 'lead' }
  return sample
}

/** A page with every element style by its name, in each of the themes and in the site's own words. */
export function stylesPage(frame: Frame, themes: readonly Theme[], own: InOwnWords): Page {
  const sections = themes.map((theme, i) => {
    const elements = shownStyles(frame, theme.name, own).flatMap((each, n) => {
      const id = `t${i}-${n}`
      const label = { runs: [{ text: `${each.name}` }] }
      return [
        { id: `${id}-name`, kind: 'finePrint', content: label },
        {
          id,
          kind: each.kind,
          content: each.content,
          ...(each.style ? { style: each.style } : {}),
        },
      ]
    })
    return { id: `styles-${i}`, theme, elements }
  })
  return pageSchema.parse({
    schema: pageVersion,
    id: stylesPageId,
    order: 'a0',
    title: 'Styles',
    path: 'styles',
    description: '',
    body: {
      order: sections.map(({ id }) => id),
      sections: Object.fromEntries(
        sections.map(({ id, theme, elements }) => [
          id,
          {
            id,
            name: theme.name,
            kind: 'band',
            theme: theme.id,
            layout: 'stack',
            children: elements.map((each) => each.id),
          },
        ]),
      ),
      elements: Object.fromEntries(
        sections.flatMap(({ elements }) => elements.map((each) => [each.id, each])),
      ),
    },
  })
}
