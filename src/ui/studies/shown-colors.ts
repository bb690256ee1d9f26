import { useMemo } from 'react'
import { colorOf, type Color } from '@/core/color'
import { slotColor } from '@/core/resolve'
import type { Palette } from '@/core/site'
import { useEditorState, type Trial } from '../editor'
import { leftOver, paletteWith, trialValues } from './trial'

export function filledColors(palette: Palette): Color[] {
  return palette.order.flatMap((id) => (palette.slots[id]?.value ? [slotColor(palette, id)] : []))
}

/** The colours that the palette would have with a trial applied. */
export function triedColors(palette: Palette, trial: Trial): Color[] {
  const added = trial.addRest || palette.order.length === 0 ? leftOver(trial) : []
  return [
    ...filledColors(paletteWith(palette, trialValues(palette, trial))),
    ...added.flatMap((index) => colorOf(trial.colors[index]!.value) ?? []),
  ]
}

/** What is shown now: the trial's colours, or the palette's. */
export function useShownColors(): Color[] {
  const palette = useEditorState((state) => state.docs.frame.palette)
  const trial = useEditorState((state) => state.trial)
  return useMemo(
    () => (trial ? triedColors(palette, trial) : filledColors(palette)),
    [palette, trial],
  )
}
