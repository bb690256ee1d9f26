'use client'

import { useEffect, useState } from 'react'
import { toast } from 'sonner'
import type { CheckpointEntry } from '@/core/payloads'
import { useEditor, useEditorState, tellUndoable } from '../editor'
import { Button, TextField, Notice } from '../kit'
import { readName } from '../names'
import { problemWords, when } from '../words'

/** The states that were kept under a name, to go back to. */
export function CheckpointList() {
  const editor = useEditor()
  const generation = useEditorState((state) => state.generation)
  const [checkpoints, setCheckpoints] = useState<readonly CheckpointEntry[]>([])
  const [failure, setFailure] = useState<string>()
  const [asked, setAsked] = useState(0)
  const [going, setGoing] = useState<string>()

  useEffect(() => {
    let current = true
    void editor.client.checkpoints().then((kept) => {
      if (!current) return
      if (kept.ok) setCheckpoints(kept.value)
      setFailure(kept.ok ? undefined : problemWords(kept.problem))
    })
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
  const goBack = async ({ id, name }: CheckpointEntry) => {
    setGoing(id)
    const result = await editor.wide({ type: 'restore', checkpoint: id })
    setGoing(undefined)
    if (result.ok) tellUndoable(editor, `Back at “${name}”.`)
    else if (result.problem.code === 'nothing-to-sweep') toast(`The site is just as in “${name}”.`)
    else toast.error(problemWords(result.problem))
  }
  return (
    <aside aria-label="Checkpoints" className="min-h-0 overflow-y-auto border-l border-edge p-4">
      <h2 className="mb-3 text-[15px] font-bold">Checkpoints</h2>
      <TextField
        label="Keep the present state under a name"
        value=""
        placeholder="Before the client’s visit"
        onCommit={take}
      />
      {failure && <Notice className="mt-3">{failure}</Notice>}
      {checkpoints.length === 0 && !failure && (
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
              revision {checkpoint.revision}, {when(checkpoint.at)}
            </p>
            <Button disabled={going !== undefined} onClick={() => void goBack(checkpoint)}>
              {going === checkpoint.id ? 'Going back …' : 'Go back to this'}
            </Button>
          </li>
        ))}
      </ul>
    </aside>
  )
}
