import { later } from '../kit'

/** Fetched once somebody writes code. */
export const CodeField = later(async () => (await import('./code-field')).CodeField)
