import { useState } from 'react'
import { toast } from 'sonner'
import type { DryRun } from '@/core/payloads'
import { totalOf, type Cell } from '@/core/sweep'
import type { Expected, WideIntent } from '@/core/wide'
import { useEditor, useEditorState, tellUndoable } from '../editor'
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

/** What a person saw before saying yes: a dry run, so many of whose hits are ticked, and what they are called. */
interface Seen {
  readonly run: DryRun
  readonly cells: readonly Cell[]
  readonly count: number
  readonly thing: string
}

/** Carries a sweep out as it was seen; breaks it off; tells how it went. */
export function useApply(onDone: () => void) {
  const editor = useEditor()
  const job = useEditorState(({ jobs }) => jobs.find(({ kind }) => kind === 'wide'))
  const [busy, setBusy] = useState(false)
  const [movedOn, setMovedOn] = useState<MovedOn>()

  const apply = async (
    intentOf: (expects: Expected) => WideIntent,
    { run, cells, count, thing }: Seen,
  ) => {
    setBusy(true)
    setMovedOn(undefined)
    const result = await editor.wide(intentOf({ count, revision: run.revision }))
    setBusy(false)
    if (!result.ok) {
      const words = problemWords(result.problem)
      if (result.problem.code === 'moved-on') setMovedOn({ words, plan: run.plan, cells })
      else if (result.problem.code === 'cancelled') toast(words)
      else toast.error(words)
      return false
    }
    tellUndoable(
      editor,
      `${counted(result.value.changed ?? 0, thing)} replaced. A checkpoint was kept first.`,
    )
    onDone()
    return true
  }
  const cancel = async () => {
    const problem = job && (await editor.cancel(job.id))
    if (problem) toast.error(problemWords(problem))
  }
  return { busy, job, movedOn, apply, cancel, forget: () => setMovedOn(undefined) }
}

export type Apply = ReturnType<typeof useApply>
