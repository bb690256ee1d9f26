'use client'

import { useCallback, useEffect, useRef, useState } from 'react'
import type { HistoryEntry, HistoryPage, Result } from '@/core/payloads'
import { useEditor, useEditorState } from '../editor'
import { useRowWindow, Notice } from '../kit'
import { problemWords, when } from '../words'
import { TakeBack } from './take-back'

const STANDING = {
  live: '',
  undone: 'undone',
  abandoned: 'undone, then left',
  closed: 'before an upgrade, stays',
} as const

/** The history as far as it was looked at, newest first; more of it is asked for where its end comes into view. */
function useHistory() {
  const { client } = useEditor()
  const generation = useEditorState((state) => state.generation)
  const [entries, setEntries] = useState<readonly HistoryEntry[]>()
  const [isWhole, setWhole] = useState(false)
  const [failure, setFailure] = useState<string>()
  const asking = useRef(false)

  const take = useCallback((result: Result<HistoryPage>, isMore: boolean) => {
    setFailure(result.ok ? undefined : problemWords(result.problem))
    if (!result.ok) return
    const { entries: more } = result.value
    setEntries((known) => (isMore ? [...(known ?? []), ...more] : more))
    setWhole(more.length === 0 || more.at(-1)!.revision === 1)
  }, [])
  useEffect(() => {
    let current = true
    void client.history().then((result) => {
      if (current) take(result, false)
    })
    return () => {
      current = false
    }
  }, [client, take, generation])
  const last = entries?.at(-1)?.revision
  const askMore = () => {
    if (asking.current) return
    asking.current = true
    void client
      .history(last)
      .then((result) => take(result, true))
      .finally(() => {
        asking.current = false
      })
  }
  return {
    entries,
    failure,
    askMore: isWhole || last === undefined ? undefined : askMore,
  }
}

/** Every edit, newest first. */
export function EditList() {
  const scroller = useRef<HTMLElement>(null)
  const { entries, failure, askMore } = useHistory()
  const count = entries?.length ?? 0
  const onRange = useCallback(
    (_from: number, to: number) => {
      if (to >= count - 10) askMore?.()
    },
    [askMore, count],
  )
  const { rows, total, measure } = useRowWindow({ scroller, count, height: 32, onRange, above: 40 })
  return (
    <section
      ref={scroller}
      aria-label="Edits"
      // There is nothing in it to walk to, and more than is in sight.
      tabIndex={0}
      className="min-h-0 overflow-y-auto p-4 focus-visible:-outline-offset-2"
    >
      <h2 className="mb-3 text-[15px] font-bold">Every change, newest first</h2>
      {failure && <Notice className="mb-3">{failure}</Notice>}
      {!entries && !failure && <p className="text-soft">Reading the history …</p>}
      {entries?.length === 0 && (
        <p className="rounded-lg border border-dashed border-edge-strong p-10 text-center text-soft">
          Nothing has been changed yet. Every change will stand here and can be undone.
        </p>
      )}
      <ol className="relative" style={{ height: count ? total : undefined }}>
        {rows.map(({ index, top }) => (
          <li
            key={entries![index]!.revision}
            ref={measure}
            data-index={index}
            className="absolute inset-x-0 top-0 grid grid-cols-[4rem_minmax(0,1fr)_auto] items-baseline gap-3 border-b border-edge py-1.5"
            style={{ transform: `translateY(${top}px)` }}
          >
            <Entry entry={entries![index]!} />
          </li>
        ))}
      </ol>
    </section>
  )
}

function Entry({ entry }: { readonly entry: HistoryEntry }) {
  const isGone = entry.standing === 'undone' || entry.standing === 'abandoned'
  return (
    <>
      <span className="code text-soft">{entry.revision}</span>
      <span className={isGone ? 'text-soft line-through' : ''}>
        {entry.kind === 'do' ? entry.told : `${entry.kind}: ${entry.told}`}
        {entry.takesBack && <TakeBack entry={entry} />}
      </span>
      <span className="text-right whitespace-nowrap text-soft">
        {entry.standing ? STANDING[entry.standing] : ''} {when(entry.at)}
      </span>
    </>
  )
}
