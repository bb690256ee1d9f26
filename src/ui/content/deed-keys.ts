import type { KeyboardEvent } from 'react'
import type { Editor } from '../editor'
import { bodyOf } from '@/core/site'
import { addSectionAfter, duplicate, hide, moveStep, remove } from './deeds'

/**
 * Carries out what a key asks for with what is chosen; false where it asks for nothing of that.
 * Plain letters only open something: what changes the site takes a modifier, or Delete.
 */
export function deedOfKey(editor: Editor, event: KeyboardEvent): boolean {
  const { selection, docs } = editor.store.getState()
  const { key, altKey } = event
  const isMod = event.ctrlKey || event.metaKey
  if (key.toLowerCase() === 'n' && !isMod && !altKey) {
    addSectionAfter(editor, selection)
    return true
  }
  if (!selection) return false
  if (altKey && key === 'ArrowUp') moveStep(editor, selection, -1)
  else if (altKey && key === 'ArrowDown') moveStep(editor, selection, 1)
  else if (isMod && key.toLowerCase() === 'd') duplicate(editor, selection)
  else if (key === 'Delete' || (isMod && key === 'Backspace')) remove(editor, selection)
  // Some keyboards write another letter with Alt: the key counts.
  else if (altKey && event.code === 'KeyH') {
    const { section } = selection
    const isHidden = bodyOf(docs, selection.doc)?.sections[section]?.hidden
    hide(editor, selection, !isHidden)
  } else return false
  return true
}
