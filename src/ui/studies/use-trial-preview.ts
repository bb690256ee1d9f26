'use client'

import { useEffect } from 'react'
import { useStore } from 'zustand'
import { useEditorState } from '../editor'
import { slotPainter, stageStore, unpaintSlot } from '../stage'
import { trialValues } from './trial'

/** Shows the trial on the stage by the slots' custom properties alone; nothing is stored. */
export function useTrialPreview(): void {
  const trial = useEditorState((state) => state.trial)
  const docs = useEditorState((state) => state.docs)
  const pageId = useEditorState((state) => state.pageId)
  const stage = useStore(stageStore, (state) => state.stage)
  useEffect(() => {
    if (!trial || !stage) return undefined
    const values = trialValues(docs.frame.palette, trial)
    for (const { slot, value } of values) slotPainter(stage.document, docs, pageId, slot)(value)
    return () => values.forEach(({ slot }) => unpaintSlot(stage.document, slot))
  }, [trial, docs, pageId, stage])
}
