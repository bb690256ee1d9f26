export { takeInventory, type InventoryEntry } from './inventory'
export { distanceToKey } from './match'
export {
  sweepPair,
  sweepRequest,
  type SweepFrom,
  type SweepPair,
  type SweepPaints,
  type SweepRequest,
} from './pair'
export { changesOfHits, chosenHits, planSweep, type Hit } from './plan'
export { slotReference, writeLike } from './replacement'
