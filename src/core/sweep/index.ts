export { takeInventory, type InventoryEntry } from './inventory'
export { sweepPair, sweepRequest, type SweepFrom, type SweepPair, type SweepRequest } from './pair'
export { chosenHits, planSweep, type Hit } from './plan'
export { slotReference, writeLike } from './replacement'
