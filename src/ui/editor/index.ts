export type { SiteClient } from './client'
export { EditorProvider, useEditor, useEditorState } from './context'
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
export type { Clash, LostEdit, SaveState } from '@/core/sync'
