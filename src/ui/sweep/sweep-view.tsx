'use client'

import { useRouter } from 'next/navigation'
import { useState } from 'react'
import { toast } from 'sonner'
import type { SweepRequest, UseFilter } from '@/core/sweep'
import {
  stepAndTell,
  useDryRun,
  useEditor,
  useEditorState,
  useInventory,
  type Editor,
} from '../editor'
import { Notice } from '../kit'
import { HoldingList } from '../recolor'
import { counted, problemWords } from '../words'
import { Breakdown } from './breakdown'
import { goingIn, soughtKeys } from './draft'
import { HitList } from './hit-list'
import { filterOf, wholeInventory } from './inventory-filters'
import { InventoryList } from './inventory-list'
import { openUse } from './open-use'
import { PairsPane } from './pairs-pane'
import { SweepSummary } from './sweep-summary'
import { allTicked, ticksOf } from './ticks'
import { useCells } from './use-cells'
import { usePairs } from './use-pairs'

/** Carries the sweep out and tells how it went; whether it was done. */
async function sweep(editor: Editor, request: SweepRequest): Promise<boolean> {
  const result = await editor.wide({ type: 'sweep', request })
  if (!result.ok) {
    if (result.problem.code === 'cancelled') toast(problemWords(result.problem))
    else toast.error(problemWords(result.problem))
    return false
  }
  const told = counted(result.value.changed ?? 0, 'use')
  toast(`${told} replaced. A checkpoint was kept first.`, {
    action: { label: 'Undo', onClick: () => void stepAndTell(editor, 'undo') },
    duration: 12_000,
  })
  return true
}

const noFilter: UseFilter = {}

/** Site-wide replacement: inventory, pairs, dry run, apply. */
export function SweepView() {
  const editor = useEditor()
  const router = useRouter()
  const job = useEditorState(({ jobs }) => jobs.find(({ kind }) => kind === 'wide'))
  const palette = useEditorState((state) => state.docs.frame.palette)
  const pairs = usePairs()
  const [ticks, setTicks] = useState(allTicked)
  const [busy, setBusy] = useState(false)
  const pageId = useEditorState((state) => state.pageId)
  const [view, setView] = useState(wholeInventory)
  const inventory = useInventory(true, filterOf(view, pageId))
  const { value: run, failure: runFailure } = useDryRun(pairs.request)
  const { cells, titleOf, failure: cellsFailure } = useCells(run)
  const [narrowed, setNarrowed] = useState<{ plan?: string; filter: UseFilter }>({
    filter: noFilter,
  })
  // Another plan has other parts: what was narrowed holds for the one before.
  const filter = narrowed.plan === run?.plan ? narrowed.filter : noFilter
  const setFilter = (next: UseFilter) => setNarrowed({ plan: run?.plan, filter: next })
  const failure = runFailure ?? inventory.failure

  const apply = async () => {
    if (!pairs.request) return
    setBusy(true)
    const done = await sweep(editor, { ...pairs.request, ticks: ticksOf(ticks) })
    setBusy(false)
    if (!done) return
    pairs.clear()
    setTicks(allTicked)
  }
  const cancel = async () => {
    const problem = job && (await editor.cancel(job.id))
    if (problem) toast.error(problemWords(problem))
  }
  return (
    <div className="grid h-full grid-cols-[300px_minmax(0,1fr)_280px]">
      <aside aria-label="Inventory" className="min-h-0 border-r border-edge">
        {inventory.value ? (
          <InventoryList
            inventory={inventory.value}
            view={view}
            onView={setView}
            chosen={soughtKeys(pairs.pairs)}
            onChoose={pairs.choose}
            onChooseAll={pairs.chooseAll}
          />
        ) : (
          <p className="p-4 text-soft">{failure ? '' : 'Looking through every page …'}</p>
        )}
      </aside>
      <section aria-label="Pairs and dry run" className="flex min-h-0 flex-col gap-3 p-4">
        {failure && <Notice>{failure}</Notice>}
        <PairsPane pairs={pairs} />
        {run?.count === 0 && (
          <p className="p-6 text-center text-soft">Nothing on the site matches these pairs.</p>
        )}
        {cellsFailure && <Notice>{cellsFailure}</Notice>}
        {run && run.count > 0 && cells && (
          <HitList
            run={run}
            cells={cells}
            filter={filter}
            titleOf={titleOf}
            ticks={ticks}
            onTick={setTicks}
            onFilter={setFilter}
            onOpen={(hit) => void openUse(editor, router, hit)}
          />
        )}
        <HoldingList going={goingIn(palette, pairs.pairs)} />
      </section>
      <aside aria-label="Dry run" className="min-h-0 overflow-y-auto border-l border-edge p-4">
        <SweepSummary
          run={run}
          cells={cells}
          ticks={ticks}
          busy={busy}
          job={job}
          onApply={() => void apply()}
          onCancel={() => void cancel()}
        />
        {run && cells && (
          <div className="mt-4 border-t border-edge pt-3">
            <Breakdown cells={cells} filter={filter} titleOf={titleOf} onFilter={setFilter} />
          </div>
        )}
      </aside>
    </div>
  )
}
