export { inventoryOf, takeInventory, type ColorCount, type InventoryEntry } from './inventory'
export {
  groupEntries,
  inventoryOrders,
  mostGrouped,
  orderGroups,
  type InventoryGroup,
  type InventoryOrder,
} from './groups'
export { isKin, movedAlong } from './family'
export { boundTo, leftoverFinder, waiting, type Leftover } from './leftovers'
export { distanceToKey } from './match'
export { pairFaults, type PairFault } from './pair-faults'
export {
  sweepPair,
  sweepRequest,
  type SweepFrom,
  type SweepPair,
  type SweepPaints,
  type SweepRequest,
} from './pair'
export {
  changesOfHits,
  chosenHits,
  hitFor,
  planSweep,
  tickedBy,
  type Hit,
  type Ticks,
} from './plan'
export { slotReference } from './replacement'
