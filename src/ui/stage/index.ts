export { hitTest, selectedNode } from './hit-test'
export { Stage } from './stage'
export { stageStore, type StageAccess } from './stage-access'
export { slotPainter, unpaintSlot, unpointed } from './stage-document'
