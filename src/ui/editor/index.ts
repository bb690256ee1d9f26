export type { SiteClient } from './client'
export { EditorProvider, useEditor, useEditorState } from './context'
export { assetUrlOf, decisionHex, paintBackground, themeLook } from './look'
export {
  looksOfSite,
  spotOfSelection,
  usePage,
  usePageList,
  useReach,
  useShownDocs,
  useShownPage,
  useSpots,
  useUsedRoles,
} from './derived'
export type {
  DeviceWidth,
  Editor,
  EditorState,
  Middle,
  Selection,
  SheetCells,
  Trial,
  TrialWay,
  ViewState,
} from './state'
export { isAfterDark } from './state'
export { openAndTell, stepAndTell } from './steps'
export { sectionKey, type SectionRef } from './section-choice'
export type { Clash, LostEdit, SaveState } from '@/core/sync'
