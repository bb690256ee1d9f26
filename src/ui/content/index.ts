export { ContentPanel } from './content-panel'
export { deedOfKey } from './deed-keys'
export { DeedBar } from './deed-bar'
export { canStep, duplicate, hide, moveSectionBefore, moveStep, newId, remove } from './deeds'
