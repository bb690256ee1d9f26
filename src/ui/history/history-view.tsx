'use client'

import { useEffect, useState } from 'react'
import { toast } from 'sonner'
import type { CheckpointEntry, HistoryEntry } from '@/core/payloads'
import { useEditor, useEditorState } from '../editor'
import { Button, TextField } from '../kit'
import { readName } from '../names'
import { problemWords } from '../words'

const clock = (at: string) => new Date(at).toLocaleString()

const STANDING = { live: '', undone: 'undone', abandoned: 'undone, then left' } as const

/** Every edit in order, and the checkpoints to return to. */
export function HistoryView() {
  const editor = useEditor()
  const generation = useEditorState((state) => state.generation)
  const [history, setHistory] = useState<readonly HistoryEntry[]>()
  const [checkpoints, setCheckpoints] = useState<readonly CheckpointEntry[]>([])
  const [failure, setFailure] = useState<string>()
  const [asked, setAsked] = useState(0)

  useEffect(() => {
    let current = true
    void Promise.all([editor.client.history(), editor.client.checkpoints()]).then(
      ([edits, kept]) => {
        if (!current) return
        if (edits.ok) setHistory(edits.value)
        if (kept.ok) setCheckpoints(kept.value)
        const failed = [edits, kept].find((result) => !result.ok)
        setFailure(failed && !failed.ok ? problemWords(failed.problem) : undefined)
      },
    )
    return () => {
      current = false
    }
  }, [editor, generation, asked])

  const take = (name: string) => {
    const read = readName(name)
    if (!read.ok) return read.wrong
    void editor
      .onServer((base) => editor.client.takeCheckpoint(base, name))
      .then((result) => {
        if (result.ok) toast(`Checkpoint “${name.trim()}” kept.`)
        else toast.error(problemWords(result.problem))
        setAsked((count) => count + 1)
      })
    return undefined
  }
  const goBack = async (checkpoint: CheckpointEntry) => {
    const result = await editor.onServer((base) => editor.client.returnTo(base, checkpoint.id))
    if (result.ok) toast(`Back at “${checkpoint.name}”. Undo brings the present again.`)
    else toast.error(problemWords(result.problem))
  }

  return (
    <div className="grid h-full grid-cols-[minmax(0,1fr)_340px]">
      <section aria-label="Edits" className="min-h-0 overflow-y-auto p-4">
        <h2 className="mb-3 text-[15px] font-bold">Every change, newest first</h2>
        {failure && (
          <p role="alert" className="mb-3 font-semibold">
            × {failure}
          </p>
        )}
        {!history && !failure && <p className="text-soft">Reading the history …</p>}
        {history?.length === 0 && (
          <p className="rounded-lg border border-dashed border-edge-strong p-10 text-center text-soft">
            Nothing has been changed yet. Every change will stand here and can be undone.
          </p>
        )}
        <ol>
          {history?.map((entry) => (
            <li
              key={entry.revision}
              className="grid grid-cols-[3.5rem_4rem_minmax(0,1fr)_auto] gap-3 border-b border-edge py-1.5"
            >
              <span className="code text-soft">{entry.revision}</span>
              <span
                className={
                  entry.standing && entry.standing !== 'live' ? 'text-soft line-through' : ''
                }
              >
                {entry.kind === 'do' ? entry.told : `${entry.kind}: ${entry.told}`}
              </span>
              <span className="text-soft">
                {entry.standing ? STANDING[entry.standing] : ''} {clock(entry.at)}
              </span>
            </li>
          ))}
        </ol>
      </section>
      <aside aria-label="Checkpoints" className="min-h-0 overflow-y-auto border-l border-edge p-4">
        <h2 className="mb-3 text-[15px] font-bold">Checkpoints</h2>
        <TextField
          label="Keep the present state under a name"
          value=""
          placeholder="Before the client’s visit"
          onCommit={take}
        />
        {checkpoints.length === 0 && (
          <p className="mt-4 text-soft">
            None yet. A sweep keeps one by itself before it changes anything.
          </p>
        )}
        <ul className="mt-4 grid gap-2">
          {checkpoints.map((checkpoint) => (
            <li
              key={checkpoint.id}
              className="rounded-md border border-edge-strong/60 bg-raised p-2.5"
            >
              <p className="font-semibold">{checkpoint.name}</p>
              <p className="mb-2 text-soft">
                revision {checkpoint.revision}, {clock(checkpoint.at)}
              </p>
              <Button onClick={() => void goBack(checkpoint)}>Go back to this</Button>
            </li>
          ))}
        </ul>
      </aside>
    </div>
  )
}
