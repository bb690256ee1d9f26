import { later } from '../kit'

export const FindDialog = later(async () => (await import('./find-dialog')).FindDialog)
