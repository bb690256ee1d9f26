import type { KindId, Run, Runs } from '@/core/elements'
import { bodyOf, own, type SiteDocs, type SiteElement } from '@/core/site'
import type { WordsPlace } from '../editor'
import { selectedNode, type StageAccess } from '../stage'

/** The tag that holds some words of the page that is drawn. */
export function wordsNode(stage: StageAccess, place: WordsPlace): HTMLElement | undefined {
  const element = selectedNode(stage.document, place)
  const isIt = `[data-words="${CSS.escape(place.at.join('.'))}"]`
  if (!element) return undefined
  return element.matches(isIt) ? element : (element.querySelector<HTMLElement>(isIt) ?? undefined)
}

/** The element whose words lie at a place. */
export const elementAt = (
  docs: SiteDocs,
  { doc, element }: WordsPlace,
): SiteElement | undefined => {
  const body = bodyOf(docs, doc)
  return body && own(body.elements, element)
}

/** Kinds behind whose words a new paragraph begins at Enter, and of what kind it is. */
export const goesOnAs: Readonly<Partial<Record<KindId, KindId>>> = {
  heading: 'paragraph',
  paragraph: 'paragraph',
  finePrint: 'finePrint',
}

/** Words as stretches, whether they are kept so or as one text. */
export const runsOf = (words: unknown): Runs =>
  Array.isArray(words) ? (words as Run[]) : [{ text: String(words ?? '') }]
