export { deviceWidths } from './device-widths'
export type { SiteClient } from './client'
export {
  useBrokenLinks,
  useDryExchange,
  useDryRun,
  useStanding,
  useInventory,
  useLeftovers,
  useUnread,
  usePicturesHolding,
  usePartPlaces,
  useSilentPictures,
  useSiteCheck,
} from './asked'
export { EditorProvider, useEditor, useEditorState, usePictureAddress } from './context'
export {
  looksOfSite,
  spotOfSelection,
  usePage,
  usePageList,
  useFailing,
  useReach,
  useSettingReach,
  useSiteLooks,
  useShownDocs,
  useShownDocsBehind,
  useShownPage,
  useSpots,
  useUsedRoles,
} from './derived'
export type {
  Brush,
  DeviceWidth,
  Editor,
  EditorState,
  LooksPane,
  Middle,
  Outlook,
  Selection,
  SheetCells,
  SheetRows,
  Trial,
  TrialWay,
  ViewState,
  WordsPlace,
} from './state'
export { useContrast, type MeasuredContrast } from './use-contrast'
export { isAfterDark, isSameThing, NO_PROPERTY, targetOf } from './state'
export { openAndTell, stepAndTell, stepWords, tellOffering, tellUndoable } from './steps'
export type { Clash, LostEdit, SaveState, Step } from '@/core/sync'
