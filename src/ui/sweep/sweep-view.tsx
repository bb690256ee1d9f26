'use client'

import { useEffect, useMemo, useRef, useState } from 'react'
import { toast } from 'sonner'
import type { DryRun, Inventory } from '@/core/payloads'
import type { InventoryEntry, SweepRequest } from '@/core/sweep'
import { stepAndTell, useEditor, useEditorState } from '../editor'
import { counted, problemWords } from '../words'
import { completePairs, draftFrom, type PairDraft, type Scope } from './draft'
import { HitList } from './hit-list'
import { InventoryList } from './inventory-list'
import { PairRow } from './pair-row'
import { SweepSummary } from './sweep-summary'

type Paints = NonNullable<SweepRequest['paints']>[number]

const PAINTS: ReadonlyArray<readonly [Paints, string]> = [
  ['fill', 'fill'],
  ['text', 'text'],
  ['line', 'border'],
  ['shadow', 'shadow'],
]

/** Site-wide replacement: inventory, pairs, dry run, apply. */
export function SweepView() {
  const editor = useEditor()
  const generation = useEditorState((state) => state.generation)
  const pageId = useEditorState((state) => state.pageId)
  const pageTitle = useEditorState(
    (state) => state.pages.find(({ id }) => id === state.pageId)?.title,
  )
  const [inventory, setInventory] = useState<Inventory>()
  const [pairs, setPairs] = useState<readonly PairDraft[]>([])
  const [scope, setScope] = useState<'site' | 'page'>('site')
  const [paints, setPaints] = useState<readonly Paints[]>([])
  const [without, setWithout] = useState<ReadonlySet<string>>(new Set())
  const [run, setRun] = useState<DryRun>()
  const [failure, setFailure] = useState<string>()
  const [busy, setBusy] = useState(false)
  const nextId = useRef(1)

  const request = useMemo((): SweepRequest | undefined => {
    const complete = completePairs(pairs)
    const where: Scope = scope === 'site' ? 'site' : pageId
    if (complete.length === 0) return undefined
    return { pairs: complete, scope: where, ...(paints.length ? { paints: [...paints] } : {}) }
  }, [pairs, scope, pageId, paints])
  const withUnticked = request && { ...request, without: [...without] }

  useEffect(() => {
    let current = true
    void editor.client.inventory().then((result) => {
      if (!current) return
      if (result.ok) setInventory(result.value)
      setFailure(result.ok ? undefined : problemWords(result.problem))
    })
    return () => {
      current = false
    }
  }, [editor, generation])

  useEffect(() => {
    if (!request) return undefined
    let current = true
    void editor.client.dryRun({ ...request, without: [...without] }).then((result) => {
      if (!current) return
      if (result.ok) setRun(result.value)
      setFailure(result.ok ? undefined : problemWords(result.problem))
    })
    return () => {
      current = false
    }
  }, [editor, request, without, generation])

  const choose = (entry: InventoryEntry) => {
    const draft = draftFrom(nextId.current, entry)
    const known = pairs.find(
      ({ from }) =>
        JSON.stringify({ ...from, within: 0 }) === JSON.stringify({ ...draft.from, within: 0 }),
    )
    nextId.current += 1
    setPairs(known ? pairs.filter((pair) => pair !== known) : [...pairs, draft])
  }
  const chosen = new Set(
    pairs.map(({ from }) => ('slot' in from ? `slot:${from.slot}` : `${from.value.slice(1)}ff`)),
  )
  const toggle = (keys: readonly string[], take: boolean) => {
    const next = new Set(without)
    for (const key of keys) {
      if (take) next.delete(key)
      else next.add(key)
    }
    setWithout(next)
  }
  const apply = async () => {
    if (!withUnticked) return
    setBusy(true)
    const result = await editor.onServer((base) => editor.client.sweep(base, withUnticked))
    setBusy(false)
    if (!result.ok) return void toast.error(problemWords(result.problem))
    setPairs([])
    setWithout(new Set())
    setRun(undefined)
    toast(`${counted(result.value.changed, 'use')} replaced. A checkpoint was kept first.`, {
      action: { label: 'Undo', onClick: () => void stepAndTell(editor, 'undo') },
      duration: 12_000,
    })
  }

  const hits = request && run ? run.hits : []
  return (
    <div className="grid h-full grid-cols-[300px_minmax(0,1fr)_280px]">
      <aside aria-label="Inventory" className="min-h-0 border-r border-edge">
        {inventory ? (
          <InventoryList inventory={inventory} chosen={chosen} onChoose={choose} />
        ) : (
          <p className="p-4 text-soft">{failure ? '' : 'Looking through every page …'}</p>
        )}
      </aside>
      <section
        aria-label="Pairs and dry run"
        className="flex min-h-0 flex-col gap-3 overflow-y-auto p-4"
      >
        {failure && (
          <p role="alert" className="font-semibold">
            × {failure}
          </p>
        )}
        {pairs.map((pair) => (
          <PairRow
            key={pair.id}
            pair={pair}
            onChange={(next) => setPairs(pairs.map((each) => (each.id === pair.id ? next : each)))}
            onRemove={() => setPairs(pairs.filter((each) => each.id !== pair.id))}
          />
        ))}
        {pairs.length === 0 ? (
          <div className="m-auto max-w-sm text-center">
            <h2 className="text-[15px] font-bold">Replace a colour on the whole site</h2>
            <p className="mt-2 text-soft">
              Choose a colour on the left, or several: all pairs run at once, so two that swap do
              swap. Nothing is written until you say so.
            </p>
          </div>
        ) : (
          <div className="flex flex-wrap items-center gap-x-4 gap-y-2 border-b border-edge pb-3">
            <select
              aria-label="Where"
              value={scope}
              onChange={(event) => setScope(event.target.value as 'site' | 'page')}
              className="h-8 rounded-md border border-edge-strong/60 bg-raised px-2 font-semibold"
            >
              <option value="site">Whole site</option>
              <option value="page">This page, {pageTitle}</option>
            </select>
            <div role="group" aria-label="What it paints" className="flex gap-3">
              <label className="flex items-center gap-1.5">
                <input
                  type="checkbox"
                  className="size-4 accent-(--strong)"
                  checked={paints.length === 0}
                  onChange={() => setPaints([])}
                />
                all
              </label>
              {PAINTS.map(([paint, words]) => (
                <label key={paint} className="flex items-center gap-1.5">
                  <input
                    type="checkbox"
                    className="size-4 accent-(--strong)"
                    checked={paints.includes(paint)}
                    onChange={(event) =>
                      setPaints(
                        event.target.checked
                          ? [...paints, paint]
                          : paints.filter((p) => p !== paint),
                      )
                    }
                  />
                  {words}
                </label>
              ))}
            </div>
          </div>
        )}
        {request && run && hits.length === 0 && (
          <p className="p-6 text-center text-soft">Nothing on the site matches these pairs.</p>
        )}
        <HitList hits={hits} without={without} onToggle={toggle} />
      </section>
      <aside aria-label="Dry run" className="min-h-0 overflow-y-auto border-l border-edge p-4">
        <SweepSummary
          run={request && run}
          without={without}
          busy={busy}
          onApply={() => void apply()}
        />
      </aside>
    </div>
  )
}
