import type { BeginRequest, BegunSite, Result, ShelfDeed, SiteName } from '@/core/payloads'
import { callAt } from '../call'

/** Begins a site; its id, by which it is opened. */
export const beginSite = (wanted: BeginRequest): Promise<Result<SiteName>> =>
  callAt<SiteName>('', '', wanted)

/** Begins a site from an archive; its id, by which it is opened, and what of it is not kept. */
export const beginFromArchive = (archive: Blob): Promise<Result<BegunSite>> =>
  callAt<BegunSite>('', '../archives', archive)

/** Where a site can be had as one file. */
export const archiveAddress = (site: string): string =>
  `/api/sites/${encodeURIComponent(site)}/archive`

/** Does something to a site’s place on the shelf, or to its name. */
export const tellShelf = (site: string, deed: ShelfDeed): Promise<Result<null>> =>
  callAt<null>('', `${encodeURIComponent(site)}/shelf`, deed)
