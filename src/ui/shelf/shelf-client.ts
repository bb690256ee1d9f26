import type { BeginRequest, Result, ShelfDeed, SiteName } from '@/core/payloads'
import { callAt } from '../call'

/** Begins a site; its id, by which it is opened. */
export const beginSite = (wanted: BeginRequest): Promise<Result<SiteName>> =>
  callAt<SiteName>('', '', wanted)

/** Does something to a site’s place on the shelf, or to its name. */
export const tellShelf = (site: string, deed: ShelfDeed): Promise<Result<null>> =>
  callAt<null>('', `${encodeURIComponent(site)}/shelf`, deed)
