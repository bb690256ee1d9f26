'use client'

import { useEffect, useMemo, useRef, useState } from 'react'
import { toast } from 'sonner'
import { Plus } from 'lucide-react'
import { colorKey, colorOf } from '@/core/color'
import { isBound } from '@/core/site'
import type { InventoryEntry, SweepRequest } from '@/core/sweep'
import {
  stepAndTell,
  useDryRun,
  useEditor,
  useEditorState,
  useInventory,
  usePage,
  type Editor,
} from '../editor'
import { Button, Notice } from '../kit'
import { counted, problemWords } from '../words'
import { completePairs, draftFaults, draftFrom, draftsFrom, isSameSought, soughtOf } from './draft'
import { HitList } from './hit-list'
import { InventoryList } from './inventory-list'
import { PairFilters, type Paints, type Where } from './pair-filters'
import { PairRow } from './pair-row'
import { SweepSummary } from './sweep-summary'
import { allTicked, ticksOf } from './ticks'

/** The pairs that are put together, and what they ask for once they are complete. */
function usePairs() {
  const editor = useEditor()
  const pageId = useEditorState((state) => state.pageId)
  const begun = useEditorState((state) => state.sweepFrom)
  const [pairs, setPairs] = useState(() => draftsFrom(-1 - begun.length, begun))
  const [where, setWhere] = useState<Where>('site')
  const [paints, setPaints] = useState<readonly Paints[]>([])
  const nextId = useRef(1)
  const request = useMemo((): SweepRequest | undefined => {
    const complete = completePairs(pairs)
    if (complete.length === 0) return undefined
    const scope = where === 'site' ? 'site' : pageId
    return { pairs: complete, scope, ...(paints.length ? { paints: [...paints] } : {}) }
  }, [pairs, where, pageId, paints])
  // What was begun elsewhere is begun once.
  useEffect(() => editor.show({ sweepFrom: [] }), [editor])
  const choose = (entry: InventoryEntry, within: number) => {
    const draft = draftFrom(nextId.current, entry, within)
    const known = pairs.find((pair) => isSameSought(pair, draft))
    nextId.current += 1
    setPairs(known ? pairs.filter((pair) => pair !== known) : [...pairs, draft])
  }
  const chooseAll = (entries: readonly InventoryEntry[]) => {
    const drafts = draftsFrom(nextId.current, entries)
    nextId.current += entries.length
    const others = pairs.filter((pair) => !drafts.some((draft) => isSameSought(pair, draft)))
    setPairs([...others, ...drafts])
  }
  const add = () => {
    setPairs([...pairs, { id: nextId.current }])
    nextId.current += 1
  }
  return { pairs, setPairs, where, setWhere, paints, setPaints, request, choose, chooseAll, add }
}

const keyOfValue = (value: string) => {
  const color = colorOf(value)
  return color ? colorKey({ ...color, alpha: 1 }) : ''
}

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
  const pageTitle = usePage()?.title ?? ''
  const job = useEditorState(({ jobs }) => jobs.find(({ kind }) => kind === 'wide'))
  const { pairs, setPairs, where, setWhere, paints, setPaints, request, choose, chooseAll, add } =
    usePairs()
  const faults = draftFaults(pairs)
  const [ticks, setTicks] = useState(allTicked)
  const [busy, setBusy] = useState(false)
  const inventory = useInventory()
  const { value: run, failure: runFailure } = useDryRun(request)
  const failure = runFailure ?? inventory.failure

  const chosen = new Set(
    pairs.flatMap(({ from }) => {
      const sought = from && soughtOf(from)
      if (!sought) return []
      return isBound(sought) ? [`slot:${sought.slot}`] : [keyOfValue(sought.value)]
    }),
  )
  const apply = async () => {
    if (!request) return
    setBusy(true)
    const done = await sweep(editor, { ...request, ...ticksOf(ticks) })
    setBusy(false)
    if (!done) return
    setPairs([])
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
            chosen={chosen}
            onChoose={choose}
            onChooseAll={chooseAll}
          />
        ) : (
          <p className="p-4 text-soft">{failure ? '' : 'Looking through every page …'}</p>
        )}
      </aside>
      <section aria-label="Pairs and dry run" className="flex min-h-0 flex-col gap-3 p-4">
        {failure && <Notice>{failure}</Notice>}
        <div className="grid max-h-[45%] shrink-0 gap-3 overflow-y-auto">
          {pairs.map((pair) => (
            <PairRow
              key={pair.id}
              pair={pair}
              fault={faults.get(pair.id)}
              onChange={(next) =>
                setPairs(pairs.map((each) => (each.id === pair.id ? next : each)))
              }
              onRemove={() => setPairs(pairs.filter((each) => each.id !== pair.id))}
            />
          ))}
        </div>
        {pairs.length === 0 ? (
          <NoPairs onAdd={add} />
        ) : (
          <PairFilters
            onAdd={add}
            where={where}
            pageTitle={pageTitle}
            paints={paints}
            onWhere={setWhere}
            onPaints={setPaints}
          />
        )}
        {run?.count === 0 && (
          <p className="p-6 text-center text-soft">Nothing on the site matches these pairs.</p>
        )}
        {run && run.count > 0 && <HitList run={run} ticks={ticks} onTick={setTicks} />}
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

function NoPairs({ onAdd }: { readonly onAdd: () => void }) {
  return (
    <div className="m-auto max-w-sm text-center">
      <h2 className="text-[15px] font-bold">Replace a colour on the whole site</h2>
      <p className="mt-2 text-soft">
        Choose a colour on the left, or several: all pairs run at once, so two that swap do swap.
        Nothing is written until you say so.
      </p>
      <Button className="mt-4" onClick={onAdd}>
        <Plus size={16} /> A pair of any colours
      </Button>
    </div>
  )
}
