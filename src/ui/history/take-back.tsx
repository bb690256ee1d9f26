'use client'

import { useState } from 'react'
import { toast } from 'sonner'
import type { HistoryEntry, Problem } from '@/core/payloads'
import { useEditor, tellUndoable } from '../editor'
import { Button, Dialog } from '../kit'
import { counted, problemWords } from '../words'

type Touched = Extract<Problem, { code: 'touched' }>

/** Takes a change back that others came after; where they touched what it did, one is told and chooses. */
export function TakeBack({ entry }: { readonly entry: HistoryEntry }) {
  const editor = useEditor()
  const [busy, setBusy] = useState(false)
  const [touched, setTouched] = useState<Touched>()
  const take = async (leaves: boolean) => {
    setBusy(true)
    const result = await editor.takeBack(entry.revision, leaves)
    setBusy(false)
    if (result.ok) {
      setTouched(undefined)
      tellUndoable(editor, `Taken back: ${entry.told}.`)
    } else if (result.problem.code === 'touched') setTouched(result.problem)
    else toast.error(problemWords(result.problem))
  }
  return (
    <>
      <Button className="ml-3 h-6 px-2 text-xs" disabled={busy} onClick={() => void take(false)}>
        {busy ? 'Taking back …' : 'Take back'}
      </Button>
      <Dialog
        open={touched !== undefined}
        onOpenChange={() => setTouched(undefined)}
        title="Some of it was changed since"
      >
        {touched && (
          <div className="grid gap-3">
            <p>
              {counted(touched.count, 'use')} of “{entry.told}”{' '}
              {touched.count === 1 ? 'has' : 'have'} been changed since:
            </p>
            <ul className="list-disc pl-5">
              {touched.labels.map((label, i) => (
                <li key={i}>{label}</li>
              ))}
              {touched.count > touched.labels.length && (
                <li>and {touched.count - touched.labels.length} more</li>
              )}
            </ul>
            <div className="flex flex-wrap justify-end gap-2">
              <Button data-first onClick={() => setTouched(undefined)}>
                Leave all as it is
              </Button>
              <Button
                look="strong"
                disabled={busy || touched.of === 0}
                onClick={() => void take(true)}
              >
                {touched.of === 0
                  ? 'Nothing is left to take back'
                  : `Take the other ${touched.of.toLocaleString('en-GB')} back`}
              </Button>
            </div>
          </div>
        )}
      </Dialog>
    </>
  )
}
