export { ThemeSheet } from './theme-sheet'
