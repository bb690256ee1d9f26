import type { Asset, Frame, Page, PageId } from '../site'
import type { InventoryEntry } from '../sweep'
import type { PlaceId, Summary, Use } from '../uses'

/** What server and interface tell each other. Times are ISO 8601 texts. */
export interface PageEntry {
  readonly id: PageId
  readonly title: string
  readonly path: string
  readonly summary: Summary
}

export interface SiteEntry {
  readonly id: string
  readonly name: string
  readonly frame: Frame
  readonly pages: readonly PageEntry[]
}

/** A site on the shelf; one whose stored form cannot be read is told by its name alone. */
export type ShelfEntry =
  SiteEntry | { readonly id: string; readonly name: string; readonly unreadable: true }

/** All that the editor needs to start, but for the pages themselves. */
export interface LoadedSite extends SiteEntry {
  readonly revision: number
  readonly assets: Readonly<Record<string, Asset>>
  readonly canUndo: boolean
  readonly canRedo: boolean
}

export interface LoadedPage {
  readonly page: Page
  readonly revision: number
}

export interface Saved {
  readonly revision: number
  readonly canUndo: boolean
  readonly canRedo: boolean
}

export interface HistoryEntry {
  readonly revision: number
  readonly kind: 'do' | 'undo' | 'redo'
  readonly standing: 'live' | 'undone' | 'abandoned' | null
  readonly told: string
  readonly at: string
}

export interface CheckpointEntry {
  readonly id: string
  readonly name: string
  readonly revision: number
  readonly at: string
}

export interface Inventory {
  readonly revision: number
  readonly entries: readonly InventoryEntry[]
  readonly uses: number
  readonly bound: number
}

/** A line of a dry run; colours in hex. */
export interface HitLine {
  readonly key: string
  readonly pair: number
  readonly place: Use['place']
  readonly label: string
  readonly paints: Use['paints']
  readonly before: string
  readonly after: string
  readonly beforeColor: string
  readonly afterColor: string
  readonly context?: string
  readonly textAt?: number
}

export interface DryRun {
  readonly revision: number
  readonly hits: readonly HitLine[]
  readonly pages: number
  readonly becomeBound: number
  readonly looseBefore: number
  readonly looseAfter: number
}

export interface Publication {
  readonly address: string
  readonly revision: number
  readonly files: number
  readonly at: string
}

/** Uses of one slot by place. */
export interface SlotUses {
  readonly places: Readonly<Partial<Record<PlaceId, number>>>
}

/** A palette as a link shows it; colours in hex. */
export interface SharedPalette {
  readonly title: string
  readonly colors: ReadonlyArray<{
    readonly name: string
    readonly value: string
    readonly note?: string
  }>
}

export interface ShareEntry extends SharedPalette {
  readonly id: string
  readonly at: string
}

/** A site by name, where nothing else of it is wanted. */
export interface SiteName {
  readonly id: string
  readonly name: string
}
