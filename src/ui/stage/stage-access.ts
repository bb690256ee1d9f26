import { createStore } from 'zustand/vanilla'
import { createStageWriter, type StageWriter } from './stage-document'

/** The stage's document, for those who reach into it: the tray while dragging, the trace while asking. */
export interface StageAccess {
  readonly document: Document
  readonly writer: StageWriter
}

interface StageState {
  readonly stage?: StageAccess
  /** Height of the page in CSS pixels. */
  readonly height: number
  /** Counts what was drawn, for those who measure what stands on the stage. */
  readonly drawing: number
}

export const stageStore = createStore<StageState>(() => ({ height: 900, drawing: 0 }))

/** Takes up a frame's document when it has loaded. */
export function openStage(document: Document): void {
  if (stageStore.getState().stage?.document === document) return
  stageStore.setState({ stage: { document, writer: createStageWriter(document) } })
}

export function closeStage(): void {
  stageStore.setState({ stage: undefined })
}

/** Tells that the page was drawn or has changed its size. */
export function noteDrawing(): void {
  const { stage, drawing } = stageStore.getState()
  if (!stage) return
  const height = Math.max(300, Math.ceil(stage.document.body.getBoundingClientRect().height))
  stageStore.setState({ height, drawing: drawing + 1 })
}
