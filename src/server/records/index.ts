export {
  docsFrom,
  loadFonts,
  loadFrame,
  loadRecords,
  loadStates,
  loadStored,
  loadWhole,
  statesOf,
  statesOfKind,
  type LoadedRecord,
  type RecordState,
  type StoredRecord,
} from './load'
export { faultOf } from './fault'
export { fileFaultOf } from './file-fault'
export { contentOf, hashOf, readContent, rewritten, type Content } from './stored'
export {
  putContents,
  keepReady,
  putFirstRecords,
  putRecords,
  readyWrite,
  writeRecords,
  type ReadyWrite,
  type RecordWrite,
  type Written,
} from './store'
export { keepSnapshot, keepStates, snapshotStates } from './snapshots'
export { keepFile } from './keep-file'
export { daysOfGrace, keepTidyAway, tidyUp } from './tidy'
export { bringUpToDate, rebuildIndex } from './bring-up-to-date'
