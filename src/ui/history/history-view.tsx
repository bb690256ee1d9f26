'use client'

import { CheckpointList } from './checkpoint-list'
import { EditList } from './edit-list'

/** Every edit in order, and the checkpoints to return to. */
export function HistoryView() {
  return (
    <div className="grid h-full grid-cols-[minmax(0,1fr)_340px]">
      <EditList />
      <CheckpointList />
    </div>
  )
}
