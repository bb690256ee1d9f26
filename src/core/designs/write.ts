import type { ContentOf, KindId, Run } from '../elements'
import {
  homePath,
  pageSchema,
  pageVersion,
  type Body,
  type Looks,
  type Page,
  type Section,
} from '../site'

/** Small words to write pages with; ids are given as the page is put together. */
export interface Draft {
  readonly kind: KindId
  readonly content: unknown
  readonly style?: string
  readonly looks?: unknown
  readonly children?: readonly Draft[]
}

type More = Pick<Draft, 'style' | 'looks' | 'children'>

function draft<Kind extends KindId>(kind: Kind, content: ContentOf<Kind>, more: More = {}): Draft {
  return { kind, content, ...more }
}

/** Words of a running text: plain, a link, or as they are kept. */
type Words = string | ReadonlyArray<string | readonly [text: string, href: string] | Run>

const runs = (words: Words) =>
  (typeof words === 'string' ? [words] : words).map((word) =>
    typeof word === 'string'
      ? { text: word }
      : 'text' in word
        ? word
        : { text: word[0], href: word[1] },
  )

const heading = (level: 1 | 2 | 3) => (words: Words, more?: More) =>
  draft('heading', { runs: runs(words), level }, more)
export const h1 = heading(1)
export const h2 = heading(2)
export const h3 = heading(3)
export const p = (words: Words, more?: More) => draft('paragraph', { runs: runs(words) }, more)
export const lead = (words: Words, more?: More) =>
  draft('paragraph', { runs: runs(words), lead: true }, more)
export const fine = (words: Words, more?: More) => draft('finePrint', { runs: runs(words) }, more)
export const button = (label: string, href?: string, more?: More) =>
  draft('mainButton', href === undefined ? { label } : { label, href }, more)
export const quiet = (label: string, href?: string, more?: More) =>
  draft('quietButton', href === undefined ? { label } : { label, href }, more)
export const picture = (asset: string, ratio?: string, caption?: string) =>
  draft('picture', { asset, ...(ratio ? { ratio } : {}), ...(caption ? { caption } : {}) })
export const icons = (...items: ReadonlyArray<readonly [icon: string, text: string]>) =>
  draft('iconList', { items: items.map(([icon, text]) => ({ icon, text })) })
export const quote = (words: Words, source: string, more?: More) =>
  draft('quote', { runs: runs(words), source }, more)
export const card = (children: readonly Draft[], more: More = {}) =>
  draft('card', {}, { ...more, children })
export const prices = (head: string[], ...rows: string[][]) => draft('priceTable', { head, rows })
export const divider = (more?: More) => draft('divider', {}, more)
export const mark = (tone: ContentOf<'mark'>['tone'], text: string) => draft('mark', { tone, text })
export const embed = (name: string, html: string) => draft('embed', { name, html })
export const nav = (
  items: ReadonlyArray<readonly [string, string]>,
  upright = false,
  more?: More,
) =>
  draft(
    'navigation',
    { items: items.map(([label, href]) => ({ label, href })), ...(upright ? { upright } : {}) },
    more,
  )
export const wordmark = (name: string, asset?: string) =>
  draft('wordmark', { name, ...(asset ? { asset } : {}), href: 'page:home' })
export const form = (
  fields: ReadonlyArray<readonly [label: string, hint: string, type: 'text' | 'email' | 'long']>,
  children: readonly Draft[],
  inline = false,
) =>
  draft(
    'form',
    {
      fields: fields.map(([label, hint, type]) => ({ label, hint, type })),
      ...(inline ? { inline } : {}),
    },
    { children },
  )

export const announcement = (words: Words) => draft('announcement', { runs: runs(words) })
export const questions = (...items: ReadonlyArray<readonly [question: string, answer: string]>) =>
  draft('questions', { items: items.map(([question, answer]) => ({ question, answer })) })
export const steps = (...items: ReadonlyArray<readonly [title: string, text: string]>) =>
  draft('steps', { items: items.map(([title, text]) => ({ title, text })) })
export const numbers = (...items: ReadonlyArray<readonly [figure: string, text: string]>) =>
  draft('numbers', { items: items.map(([figure, text]) => ({ figure, text })) })
export const timetable = (
  ...items: ReadonlyArray<readonly [when: string, what: string, more: string]>
) => draft('timetable', { items: items.map(([when, what, more]) => ({ when, what, more })) })
export const articleList = (
  ...items: ReadonlyArray<readonly [title: string, text: string, when: string, href: string]>
) =>
  draft('articleList', {
    items: items.map(([title, text, when, href]) => ({ title, text, when, href })),
  })
export const gallery = (
  across: ContentOf<'gallery'>['across'],
  items: ReadonlyArray<readonly [asset: string, caption: string]>,
) => draft('gallery', { across, items: items.map(([asset, caption]) => ({ asset, caption })) })
export const sideNavigation = (
  title: string,
  items: ReadonlyArray<readonly [label: string, href: string]>,
) => draft('sideNavigation', { title, items: items.map(([label, href]) => ({ label, href })) })
export const socialLinks = (
  ...items: ReadonlyArray<readonly [icon: string, label: string, href: string]>
) => draft('socialLinks', { items: items.map(([icon, label, href]) => ({ icon, label, href })) })
export const logoStrip = (...names: readonly string[]) =>
  draft('logoStrip', { items: names.map((name) => ({ name, asset: '' })) })
export const mapStandIn = (label: string, address: string) =>
  draft('mapStandIn', { label, address })
export const searchField = (label: string, hint: string, button: string) =>
  draft('searchField', { label, hint, button })

const arranged = (arrange: ContentOf<'group'>['arrange']) => (children: readonly Draft[]) =>
  draft('group', { arrange }, { children })
export const column = arranged('column')
export const row = arranged('row')
export const grid = arranged('grid')

export interface SectionDraft extends Partial<
  Pick<Section, 'kind' | 'blend' | 'centered' | 'layout'>
> {
  readonly id: string
  readonly name: string
  readonly theme: string
  readonly looks?: Looks | unknown
  readonly children: readonly Draft[]
}

/** Lays sections out flat and gives every element an id that starts with the page's. */
export function body(stem: string, sections: readonly SectionDraft[]): Body {
  const elements: Record<string, unknown> = {}
  let count = 0
  const lay = ({ kind, content, style, looks, children }: Draft): string => {
    count += 1
    const id = `${stem}-${count}`
    const ids = children?.map(lay)
    elements[id] = {
      id,
      kind,
      content,
      ...(style ? { style } : {}),
      ...(looks ? { looks } : {}),
      ...(ids ? { children: ids } : {}),
    }
    return id
  }
  const laid = sections.map(({ children, ...section }) => ({
    kind: 'band',
    layout: 'stack',
    ...section,
    children: children.map(lay),
  }))
  return {
    order: laid.map(({ id }) => id),
    sections: Object.fromEntries(laid.map((section) => [section.id, section])),
    elements,
  } as unknown as Body
}

export function page(
  id: string,
  title: string,
  description: string,
  sections: readonly SectionDraft[],
): Page {
  return pageSchema.parse({
    schema: pageVersion,
    id,
    order: 'a0',
    title,
    path: id === 'home' ? homePath : id,
    description,
    body: body(id, sections),
  })
}
