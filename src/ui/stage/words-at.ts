import type { ContentPath } from '@/core/edit'
import type { ElementId, SectionId } from '@/core/site'
import type { Selection, WordsPlace } from '../editor'
import { selectedNode } from './hit-test'
import { docOfSection } from './stage-document'

/** Where the words of a tag lie in the content of their element. */
export const pathOfWords = (node: Element): ContentPath =>
  (node.getAttribute('data-words') ?? '')
    .split('.')
    .map((key) => (/^\d+$/.test(key) ? Number(key) : key))

/** Which words a tag of the page holds. */
export function placeOfWords(node: Element): WordsPlace | undefined {
  const element = node.closest('[data-el]')
  const section = node.closest('[data-section]')
  if (!element || !section) return undefined
  return {
    doc: docOfSection(section),
    section: section.getAttribute('data-section') as SectionId,
    element: element.getAttribute('data-el') as ElementId,
    at: pathOfWords(node),
  }
}

/** The words at a point of the stage, in CSS pixels of the page. */
export function wordsAt(stage: Document, x: number, y: number): WordsPlace | undefined {
  const node = stage.elementFromPoint(x, y)?.closest('[data-words]')
  const place = node && placeOfWords(node)
  return place ? { ...place, caret: { left: x, top: y } } : undefined
}

/** The first words of a selection: of the element, or of what stands in it. */
export function firstWords(stage: Document, selection: Selection): WordsPlace | undefined {
  const node = selectedNode(stage, selection)
  const words = node?.matches('[data-words]') ? node : node?.querySelector('[data-words]')
  const element = words?.closest('[data-el]')
  if (!words || !element) return undefined
  const { doc, section } = selection
  return {
    doc,
    section,
    element: element.getAttribute('data-el') as ElementId,
    at: pathOfWords(words),
  }
}
