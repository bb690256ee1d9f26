export { moveSlotBefore } from './move-slot'
export { Tray } from './tray'
