import { useMemo } from 'react'
import type { Frame, Palette, SlotId } from '@/core/site'
import { slotDuties, type Reach, type SlotDuty } from '@/core/uses'
import { useEditorState, useReach } from '../editor'

/** What a proposal of colours for slots looks at: the palette, and what each slot is for. */
export interface Basis {
  readonly palette: Palette
  readonly duties: ReadonlyMap<SlotId, SlotDuty>
}

export function basisOf(frame: Frame, reach?: Reach): Basis {
  return { palette: frame.palette, duties: slotDuties(frame, reach) }
}

export function useBasis(): Basis {
  const frame = useEditorState((state) => state.docs.frame)
  const reach = useReach()
  return useMemo(() => basisOf(frame, reach), [frame, reach])
}
