import type { EditorState, Transaction } from 'prosemirror-state'
import { TextSelection } from 'prosemirror-state'
import type { Runs } from '@/core/elements'
import { docOfRuns } from './word-schema'

/**
 * Others' words in place of those that stand: only what differs is exchanged, so that the caret stays between the
 * letters it stood between, and all that was chosen goes on being chosen. Nothing where both are the same.
 */
export function othersWords(
  { doc, tr }: EditorState,
  chosen: { readonly from: number; readonly to: number },
  runs: Runs,
): Transaction | undefined {
  const next = docOfRuns(runs)
  const start = doc.content.findDiffStart(next.content)
  if (start === null) return undefined
  const { a, b } = doc.content.findDiffEnd(next.content)!
  // Where letters repeat, what is the same behind may reach over what is the same before.
  const over = Math.max(0, start - Math.min(a, b))
  tr.replace(start, a + over, next.slice(start, b + over))
  const { from, to } = chosen
  const ends = [tr.mapping.map(from, -1), tr.mapping.map(to, from === to ? -1 : 1)] as const
  return tr.setSelection(TextSelection.create(tr.doc, ...ends))
}
