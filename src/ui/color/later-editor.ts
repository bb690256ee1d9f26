import { later } from '../kit'

export const ColorEditor = later(async () => (await import('./color-editor')).ColorEditor)
