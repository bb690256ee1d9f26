'use client'

import { useState } from 'react'
import { toast } from 'sonner'
import type { SweepRequest } from '@/core/sweep'
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
import { goingIn, soughtKeys } from './draft'
import { HitList } from './hit-list'
import { InventoryList } from './inventory-list'
import { PairsPane } from './pairs-pane'
import { SweepSummary } from './sweep-summary'
import { allTicked, ticksOf } from './ticks'
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

/** Site-wide replacement: inventory, pairs, dry run, apply. */
export function SweepView() {
  const editor = useEditor()
  const job = useEditorState(({ jobs }) => jobs.find(({ kind }) => kind === 'wide'))
  const palette = useEditorState((state) => state.docs.frame.palette)
  const pairs = usePairs()
  const [ticks, setTicks] = useState(allTicked)
  const [busy, setBusy] = useState(false)
  const inventory = useInventory()
  const { value: run, failure: runFailure } = useDryRun(pairs.request)
  const failure = runFailure ?? inventory.failure

  const apply = async () => {
    if (!pairs.request) return
    setBusy(true)
    const done = await sweep(editor, { ...pairs.request, ...ticksOf(ticks) })
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
        {run && run.count > 0 && <HitList run={run} ticks={ticks} onTick={setTicks} />}
        <HoldingList going={goingIn(palette, pairs.pairs)} />
      </section>
      <aside aria-label="Dry run" className="min-h-0 overflow-y-auto border-l border-edge p-4">
        <SweepSummary
          run={run}
          ticks={ticks}
          busy={busy}
          job={job}
          onApply={() => void apply()}
          onCancel={() => void cancel()}
        />
      </aside>
    </div>
  )
}
