export { inOwnWords, type InOwnWords } from './own-samples'
export { useOwnWords } from './use-own-words'
export { specimenDocs, specimenPage } from './specimen-page'
export { ThemeSheet } from './theme-sheet'
