import { baseOf, kindOf, type KindId, type Runs } from '@/core/elements'
import { leavesOf } from '@/core/exchange'
import { sectionsInOrder, walkSection, type SiteDocs } from '@/core/site'

/** The content that shows what a sample shows, in the words and pictures of a site. */
export type InOwnWords = (kind: KindId, sample: unknown) => unknown

type Content = Readonly<Record<string, unknown>>

/** Entries of a list that are enough to show how it looks. */
const FEW = 3

/** The contents of all elements at hand, by their kind, in page order. */
function contentsByKind({ frame, pages }: Pick<SiteDocs, 'frame' | 'pages'>) {
  const found = new Map<string, Content[]>()
  for (const body of [...Object.values(pages).map((page) => page.body), frame.body]) {
    for (const section of sectionsInOrder(body)) {
      walkSection(body, section, ({ kind, content }) => {
        found.set(kind, [...(found.get(kind) ?? []), content as Content])
      })
    }
  }
  return found
}

const isEmpty = (value: unknown) =>
  value === undefined || value === '' || (Array.isArray(value) && value.length === 0)

/** Whether a content has all that a sample has: then nothing that has a colour is missing from it. */
function covers(content: unknown, sample: unknown): boolean {
  if (Array.isArray(sample)) {
    return (
      sample.length === 0 ||
      (Array.isArray(content) && content.some((each) => covers(each, sample[0])))
    )
  }
  if (typeof sample !== 'object' || sample === null) return isEmpty(sample) || !isEmpty(content)
  if (typeof content !== 'object' || content === null) return false
  return Object.entries(sample).every(
    ([key, value]) => key === 'runs' || covers((content as Content)[key], value),
  )
}

/** Whether what is chosen rather than written is the same in two contents: a tone, a level. */
function isAlike(kind: KindId, content: Content, sample: Content): boolean {
  const texts = new Set(leavesOf(kind).map(({ at }) => at[0]))
  const chosen = Object.keys(sample).filter(
    (key) => !texts.has(key) && typeof sample[key] !== 'object',
  )
  return chosen.every((key) => content[key] === sample[key])
}

const hasLink = (runs: Runs) => runs.some(({ href }) => href !== undefined)

/** Characters beside links from which on words show how text looks, not links alone. */
const RUNNING = 12

const runsOn = (runs: Runs) =>
  runs.filter(({ href }) => href === undefined).reduce((all, { text }) => all + text.trim(), '')
    .length >= RUNNING

/** Words with a link in them: one of their own, else their last ones. */
function withLink(runs: Runs): Runs {
  if (hasLink(runs)) return runs
  const text = runs.map((run) => run.text).join('')
  const [, before = '', linked = text] = /^(.*\s)?(\S+\s+\S+)$/s.exec(text) ?? []
  return [...(before ? [{ text: before }] : []), { text: linked, href: '#' }]
}

/** Long lists cut to a few entries, empty pictures filled with one of the site's. */
function cut(content: unknown, picture: string | undefined): unknown {
  if (Array.isArray(content)) return content.slice(0, FEW).map((each) => cut(each, picture))
  if (typeof content !== 'object' || content === null) return content
  return Object.fromEntries(
    Object.entries(content).map(([key, value]) => {
      if (key === 'asset' && value === '' && picture) return [key, picture]
      return [key, key === 'runs' ? value : cut(value, picture)]
    }),
  )
}

/**
 * Shows samples in a site's own words and pictures: each as the first element at hand that has all
 * that the sample has. What the site has nothing like stays in the sample's words.
 */
export function inOwnWords(docs: Pick<SiteDocs, 'frame' | 'pages' | 'pictures'>): InOwnWords {
  const found = contentsByKind(docs)
  const shownOnPages = (found.get('picture') ?? []).map(({ asset }) => asset as string)
  const picture = [...shownOnPages, ...Object.keys(docs.pictures)].find((id) => id in docs.pictures)
  return (kind, given) => {
    const sample = given as Content
    const runs = sample.runs as Runs | undefined
    // Words in colours of their own say themselves which they are.
    if (runs?.some(({ words }) => words)) return sample
    const base = baseOf(kind, sample).id
    const fitting = (found.get(kind) ?? []).filter(
      (content) =>
        baseOf(kind, content).id === base &&
        isAlike(kind, content, sample) &&
        covers(content, sample),
    )
    const linked = runs && hasLink(runs)
    const running = linked ? fitting.filter((each) => runsOn(each.runs as Runs)) : fitting
    const own = (linked && running.find((each) => hasLink(each.runs as Runs))) || running[0]
    if (!own) return cut(sample, picture)
    // What a sample leaves out may change what it shows: a button that leads somewhere is never disabled.
    const alike = Object.fromEntries(Object.keys(sample).map((key) => [key, own[key]]))
    const content = linked ? { ...alike, runs: withLink(own.runs as Runs) } : alike
    const shown = cut(content, picture)
    return kindOf(kind).content.safeParse(shown).success ? shown : cut(sample, picture)
  }
}
