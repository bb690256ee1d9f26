import { later } from '../kit'

export type { ColorInText, FaultInText, Offer } from './code-field'
export const CodeField = later(async () => (await import('./code-field')).CodeField)
