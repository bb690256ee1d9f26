export { firstWords, placeOfWords } from './words-at'
export { hitTest, selectedNode } from './hit-test'
export { boxOf, type Box } from './outlines'
export { Divider } from './divider'
export { paintingNow, shaded, turned } from './brush'
export { findOverrule, type Overrule } from './overrule'
export { takeInHand } from './led-by-keys'
export { paint } from './paint'
export { previewEdit } from './preview-edit'
export { previewColor } from './preview-color'
export { previewTheme } from './preview-theme'
export { Stage } from './stage'
export { stageStore, type StageAccess } from './stage-access'
export {
  createStageWriter,
  holdState,
  slotPainter,
  unpaintSlot,
  unpointed,
  type StageWriter,
} from './stage-document'
export { StageFrame } from './stage-frame'
export { useStanding, type OnStage } from './use-standing'
export { paintedBox } from './standing'
export { paintedAreas } from './painted-areas'
export { PagePair } from './page-pair'
export { useBodyHeight, useFit } from './use-fit'
