import { later } from '../kit'

/** Fetched in the first quiet moment: the field that words are written in is large. */
export const WordsLayer = later(async () => (await import('./words-layer')).WordsLayer)
export { LinkTarget, useTargetWords } from './link-target'
