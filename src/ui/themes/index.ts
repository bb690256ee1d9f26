export { specimenDocs, specimenPage } from './specimen-page'
export { ThemeSheet } from './theme-sheet'
