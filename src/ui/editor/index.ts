export type { SiteClient } from './client'
export { EditorProvider, useEditor, useEditorState } from './context'
export { assetUrlOf, decisionHex, paintBackground, themeLook } from './look'
export { spotOfSelection, usePage, useReach, useShownDocs, useSpots, useUsedRoles } from './derived'
export type {
  DeviceWidth,
  Editor,
  EditorState,
  LostEdit,
  Middle,
  SaveState,
  Selection,
  SheetCells,
  Trial,
  TrialWay,
} from './state'
export { isAfterDark } from './state'
export { openAndTell, stepAndTell } from './steps'
export { sectionKey, type SectionRef } from './section-choice'
export type { Clash } from './clashes'
