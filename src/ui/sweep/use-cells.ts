import { useEffect, useMemo, useState } from 'react'
import type { DryRun, HitCells } from '@/core/payloads'
import { cellsOf, type Cell } from '@/core/sweep'
import { useEditor } from '../editor'
import { problemWords } from '../words'

interface Asked {
  readonly plan: string
  readonly table?: HitCells
  readonly failure?: string
}

/** The hits of a dry run by all that they are told apart by; undefined while they are on their way. */
export function useCells(run: DryRun | undefined): {
  readonly cells?: readonly Cell[]
  /** What a document is called. */
  readonly titleOf: (doc: string) => string
  readonly failure?: string
} {
  const { client } = useEditor()
  const [asked, setAsked] = useState<Asked>({ plan: '' })
  const wanted = run && !run.cells ? run.plan : undefined
  useEffect(() => {
    if (wanted === undefined) return undefined
    let current = true
    void client.cells(wanted).then((result) => {
      if (!current) return
      setAsked(
        result.ok
          ? { plan: wanted, table: result.value }
          : { plan: wanted, failure: problemWords(result.problem) },
      )
    })
    return () => {
      current = false
    }
  }, [client, wanted])
  const own = asked.plan === wanted ? asked : undefined
  const table = run?.cells ?? own?.table
  const cells = useMemo(() => table && cellsOf(table), [table])
  const titles = useMemo(
    () => new Map(table?.docs.map((doc, i) => [doc, table.titles[i]!])),
    [table],
  )
  const titleOf = (doc: string) => titles.get(doc) ?? doc
  return { titleOf, ...(cells ? { cells } : {}), ...(own?.failure ? { failure: own.failure } : {}) }
}
