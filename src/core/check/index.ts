export { staleAlts, type StaleAlt } from './alt-words'
export { contentFaults, type ContentFault } from './content'
export {
  lowInAddOns,
  lowInThemes,
  lowOnPage,
  measurePage,
  type Edition,
  type LowContrast,
  type LowOnPage,
  type PageContrast,
} from './contrast'
