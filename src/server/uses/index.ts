export { checkIndex, type IndexFault } from './check'
export { dryRun, keptPlan, planHits } from './dry-run'
export { inventory, slotUses } from './inventory'
export { namedSections, proposedRhythms, themeUses } from './bands'
