import { useState } from 'react'
import { toast } from 'sonner'
import type { DryRun } from '@/core/payloads'
import { totalOf, type Cell, type SweepRequest } from '@/core/sweep'
import { stepAndTell, useEditor, useEditorState } from '../editor'
import { counted, problemWords } from '../words'

/** A sweep that was not carried out, for the site had gone on: what its dry run had come to. */
export interface MovedOn {
  readonly words: string
  readonly plan: string
  readonly cells: readonly Cell[]
}

/** The documents in which two dry runs come to other numbers. */
export function differingDocs(before: readonly Cell[], now: readonly Cell[]): string[] {
  const countsOf = (cells: readonly Cell[]) => {
    const byDoc = new Map<string, Cell[]>()
    for (const cell of cells) byDoc.set(cell.doc, [...(byDoc.get(cell.doc) ?? []), cell])
    return new Map([...byDoc].map(([doc, own]) => [doc, JSON.stringify(totalOf(own))]))
  }
  const [then, by] = [countsOf(before), countsOf(now)]
  return [...new Set([...then.keys(), ...by.keys()])].filter((doc) => then.get(doc) !== by.get(doc))
}

/** Carries a sweep out as it was seen; breaks it off; tells how it went. */
export function useApply(onDone: () => void) {
  const editor = useEditor()
  const job = useEditorState(({ jobs }) => jobs.find(({ kind }) => kind === 'wide'))
  const [busy, setBusy] = useState(false)
  const [movedOn, setMovedOn] = useState<MovedOn>()

  const apply = async (
    request: SweepRequest,
    run: DryRun,
    cells: readonly Cell[],
    count: number,
  ) => {
    setBusy(true)
    setMovedOn(undefined)
    const expects = { count, revision: run.revision }
    const result = await editor.wide({ type: 'sweep', request, expects })
    setBusy(false)
    if (!result.ok) {
      const words = problemWords(result.problem)
      if (result.problem.code === 'moved-on') setMovedOn({ words, plan: run.plan, cells })
      else if (result.problem.code === 'cancelled') toast(words)
      else toast.error(words)
      return
    }
    toast(`${counted(result.value.changed ?? 0, 'use')} replaced. A checkpoint was kept first.`, {
      action: { label: 'Undo', onClick: () => void stepAndTell(editor, 'undo') },
      duration: 12_000,
    })
    onDone()
  }
  const cancel = async () => {
    const problem = job && (await editor.cancel(job.id))
    if (problem) toast.error(problemWords(problem))
  }
  return { busy, job, movedOn, apply, cancel, forget: () => setMovedOn(undefined) }
}
