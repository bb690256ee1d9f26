import { later } from '../kit'

export { AtCursor } from './at-cursor'
export { colorsOf, offersOf, withColor } from './colors-in-text'
export type { ColorInText, FaultInText, Offer } from './code-field'
export const CodeField = later(async () => (await import('./code-field')).CodeField)
