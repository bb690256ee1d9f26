import { later } from '../kit'

export type { AskedOfPage } from './page-dialogs'
export { movePage } from './move-page'
export const PageDialogs = later(async () => (await import('./page-dialogs')).PageDialogs)
