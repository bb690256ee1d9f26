import type { ContentFault, LowOnPage, StaleAlt } from '../check'
import type { PageId } from '../site'

/** Something found on a page, with the first page that shows it. */
type OnPage<T> = T & { readonly page: PageId; readonly title: string }

/** What was found on all pages of a site, as they are drawn. */
export interface SiteCheck {
  readonly revision: number
  readonly pages: number
  /** How many colours were measured, each state and edition by itself. */
  readonly measured: number
  /** How many depend on where they lie over a gradient or picture, and were not judged. */
  readonly unmeasured: number
  /** How many have too little contrast; what header, footer and parts hold counts once. */
  readonly count: number
  /** The worst of them, each with the first page that shows it. */
  readonly low: ReadonlyArray<OnPage<LowOnPage>>
  readonly faults: ReadonlyArray<OnPage<ContentFault>>
  readonly staleAlts: readonly StaleAlt[]
}
