'use client'

import { useEffect, useMemo, useRef, useState } from 'react'
import type { ColorDecision } from '@/core/site'
import type { InventoryEntry, SweepPair, SweepRequest } from '@/core/sweep'
import { useEditor, useEditorState } from '../editor'
import { completePairs, draftFrom, draftsFrom, isSameSought, type PairDraft } from './draft'
import type { Paints, Where } from './pair-filters'

/** The pairs that are put together, and what they ask for once they are complete. */
export function usePairs() {
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
  const change = (next: PairDraft) =>
    setPairs(pairs.map((each) => (each.id === next.id ? next : each)))
  const remove = (gone: PairDraft) => setPairs(pairs.filter((each) => each !== gone))
  const clear = () => setPairs([])
  /** Puts kept pairs in the place of those that stand there. */
  const take = (kept: readonly SweepPair[], kinds: readonly Paints[]) => {
    setPairs(kept.map((pair, i) => ({ id: nextId.current + i, ...pair })))
    setPaints(kinds)
    nextId.current += kept.length
  }
  /** Has the pair that is so-and-so-manieth of the complete ones lead to something else. */
  const turn = (index: number, to: ColorDecision) => {
    const wanted = completePairs(pairs)[index]
    setPairs(
      pairs.map((each) =>
        wanted && each.from === wanted.from && each.to === wanted.to ? { ...each, to } : each,
      ),
    )
  }
  const edits = { choose, chooseAll, add, change, remove, clear, take, turn }
  return { pairs, where, setWhere, paints, setPaints, request, ...edits }
}

export type Pairs = ReturnType<typeof usePairs>
