import type { KeyboardEvent } from 'react'
import { isSameThing, type Editor, type Selection } from '../editor'
import { stageStore } from './stage-access'
import { stepTo, walkable } from './walk'
import { firstWords } from './words-at'

/** Selections but for those of one thing. */
export const without = (all: readonly Selection[], thing: Selection) =>
  all.filter((each) => !isSameThing(each, thing))

/** Opens the words of what is chosen, to be written; false where it has none. */
function write(editor: Editor, selection: Selection): boolean {
  const { stage } = stageStore.getState()
  const words = stage && firstWords(stage.document, selection)
  if (words) editor.show({ words })
  return !!words
}

/** Walks the page by keys: to the next thing or section, with Shift taking it along; Enter writes. */
export function walkByKeys(editor: Editor, event: KeyboardEvent): boolean {
  const { docs, pageId, selection, also = [] } = editor.store.getState()
  if (event.altKey || event.ctrlKey || event.metaKey) return false
  if (event.key === 'Enter' && selection) return write(editor, selection)
  const next = stepTo(walkable(docs, pageId), selection, event.key)
  if (!next) return false
  const isMore = event.shiftKey && selection?.element && next.element
  editor.show({
    selection: next,
    ...(isMore ? { also: without([...also, selection], next) } : {}),
  })
  return true
}
