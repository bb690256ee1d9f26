export { cellsOf, countingCells, totalOf, type Cell, type CellTable } from './cells'
export { inventoryOf, takeInventory, type ColorCount, type InventoryEntry } from './inventory'
export {
  groupEntries,
  inventoryOrders,
  mostGrouped,
  orderGroups,
  type InventoryGroup,
  type InventoryOrder,
} from './groups'
export { isKin, isNearKin, movedAlong, movedDecision } from './family'
export { boundTo, leftoverFinder, waiting, type Leftover } from './leftovers'
export { distanceToKey, pairFor, type Sought } from './match'
export { pairFaults, type PairFault } from './pair-faults'
export {
  mostOfFamily,
  sweepPair,
  sweepRequest,
  type LooseFrom,
  type SweepFrom,
  type SweepPair,
  type SweepPaints,
  type SweepRequest,
} from './pair'
export {
  changesOfHits,
  chosenHits,
  decisionSwept,
  facetsOf,
  hitFor,
  planSweep,
  type Hit,
  type Outcomes,
} from './plan'
export {
  areAllTicked,
  fitsFilter,
  isWithin,
  mostRules,
  ruled,
  tickedBy,
  ticksSchema,
  useFilter,
  type Facets,
  type TickRule,
  type Ticks,
  type UseFilter,
} from './ticks'
export { pairsOfRecipe, recipeOf, recipeSchema, type Recipe } from './recipe'
export { slotReference } from './replacement'
