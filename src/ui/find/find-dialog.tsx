'use client'

import { useRouter } from 'next/navigation'
import { useDeferredValue, useId, useMemo, useState, type KeyboardEvent } from 'react'
import { useEditor, useEditorState } from '../editor'
import { Dialog, Line, Swatch } from '../kit'
import { entriesOf, entriesOfColor, entryGroups, type Entry } from './entries'
import { goTo } from './go'
import { found, indexed } from './matching'

interface FindDialogProps {
  readonly open: boolean
  readonly onOpenChange: (open: boolean) => void
}

/** One field over everything that can be set: type what it is called, and go there. */
export function FindDialog({ open, onOpenChange }: FindDialogProps) {
  return (
    <Dialog open={open} onOpenChange={onOpenChange} title="Where is it set?">
      {open && <Find onGone={() => onOpenChange(false)} />}
    </Dialog>
  )
}

const HINTS = ['hover', 'corner', 'footer link', 'line height', '#d65a2a']

function Find({ onGone }: { readonly onGone: () => void }) {
  const docs = useEditorState((state) => state.docs)
  const pageId = useEditorState((state) => state.pageId)
  const [typed, setTyped] = useState('')
  const [at, setAt] = useState(0)
  const [editor, router] = [useEditor(), useRouter()]
  const id = useId()
  const index = useMemo(() => indexed(entriesOf(docs, pageId)), [docs, pageId])
  const asked = useDeferredValue(typed)
  const entries = useMemo(() => {
    const best = [...entriesOfColor(docs, asked), ...found(index, asked)]
    // Group by group, in the order in which each has its best.
    const order = [...new Set(best.map(({ group }) => group))]
    return [...best].sort((a, b) => order.indexOf(a.group) - order.indexOf(b.group))
  }, [docs, index, asked])
  const chosen = entries[Math.min(at, entries.length - 1)]
  const choose = (entry: Entry) => {
    onGone()
    goTo(editor, router, entry.place)
  }
  const onKeyDown = (event: KeyboardEvent) => {
    const step = { ArrowDown: 1, ArrowUp: -1 }[event.key]
    if (step) {
      event.preventDefault()
      const next = Math.max(0, Math.min(entries.length - 1, at + step))
      setAt(next)
      document.getElementById(`${id}-${next}`)?.scrollIntoView({ block: 'nearest' })
    } else if (event.key === 'Enter' && chosen) {
      event.preventDefault()
      choose(chosen)
    }
  }
  return (
    <div className="grid gap-3" onKeyDown={onKeyDown}>
      <Line
        label="A shape, a part, a state, a slot, a colour"
        first
        role="combobox"
        aria-autocomplete="list"
        aria-expanded={entries.length > 0}
        aria-controls={`${id}-found`}
        aria-activedescendant={chosen && `${id}-${entries.indexOf(chosen)}`}
        value={typed}
        placeholder="footer link"
        spellCheck={false}
        onChange={(text) => {
          setTyped(text)
          setAt(0)
        }}
      />
      {typed.trim() === '' ? (
        <p className="text-soft">For example: {HINTS.join(' · ')}</p>
      ) : (
        <p role="status" className="sr-only">
          {entries.length} found
        </p>
      )}
      {typed.trim() !== '' && entries.length === 0 && (
        <p className="text-soft">
          Nothing that can be set is called so. Try another word, or one of:{' '}
          {entryGroups.join(', ').toLowerCase()}.
        </p>
      )}
      <ul
        id={`${id}-found`}
        role="listbox"
        aria-label="Found"
        className="max-h-[52vh] overflow-y-auto"
      >
        {entries.map((entry, i) => (
          <Found
            key={entry.key}
            id={`${id}-${i}`}
            entry={entry}
            isFirst={entries[i - 1]?.group !== entry.group}
            isChosen={entry === chosen}
            onChoose={() => choose(entry)}
            onPoint={() => setAt(i)}
          />
        ))}
      </ul>
    </div>
  )
}

interface FoundProps {
  readonly id: string
  readonly entry: Entry
  readonly isFirst: boolean
  readonly isChosen: boolean
  readonly onChoose: () => void
  readonly onPoint: () => void
}

function Found({ id, entry, isFirst, isChosen, onChoose, onPoint }: FoundProps) {
  const { label, more, color, group } = entry
  return (
    <>
      {isFirst && (
        <li role="presentation" className="px-2 pt-2 pb-1 text-xs text-soft">
          {group}
        </li>
      )}
      <li
        id={id}
        role="option"
        aria-selected={isChosen}
        onClick={onChoose}
        onPointerMove={onPoint}
        className="flex cursor-pointer items-center gap-2 rounded-md px-2 py-1 aria-selected:bg-hover"
      >
        {color && <Swatch color={color} className="size-4" />}
        <span className="min-w-0 flex-1 truncate">{label}</span>
        {more && <span className="max-w-[45%] truncate text-xs text-soft">{more}</span>}
      </li>
    </>
  )
}
