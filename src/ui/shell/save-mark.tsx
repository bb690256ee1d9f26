'use client'

import { useEditorState } from '../editor'

const SAVE_WORDS = {
  saved: 'Saved',
  saving: 'Saving …',
  waiting: 'Not saved yet, trying again …',
} as const

/** Whether all that was done is stored. */
export function SaveMark() {
  const saveState = useEditorState(({ saveState: own, remoteChanges, moving }) =>
    own === 'saved' && remoteChanges + moving > 0 ? 'saving' : own,
  )
  return (
    <span
      role="status"
      data-save={saveState}
      className={`shrink-0 text-xs whitespace-nowrap ${saveState === 'waiting' ? 'rounded border border-dashed border-ink px-1.5 py-0.5 font-semibold' : 'text-soft'}`}
    >
      {SAVE_WORDS[saveState]}
    </span>
  )
}
