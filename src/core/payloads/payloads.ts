import type {
  DocId,
  Fonts,
  Frame,
  Page,
  PageId,
  Picture,
  Pictures,
  Placed,
  RecordChange,
  SectionId,
  ThemeId,
} from '../site'
import type { UnfitHit } from '../exchange'
import type { CellTable, Facets, InventoryEntry, Recipe } from '../sweep'
import type { Problem } from './problem'
import type { BandEntry, Look, PlaceId, Unread, Use } from '../uses'

/** What server and interface tell each other. Times are ISO 8601 texts. */
export interface PageEntry {
  readonly id: PageId
  readonly title: string
  readonly path: string
  /** Where it stands among the pages; compared by code units. */
  readonly order: string
}

/** A page as its miniature needs it. */
export interface PageBandsEntry extends PageEntry {
  readonly bands: ReadonlyArray<Placed<BandEntry>>
}

/** Some pages of a site in their order, beginning with number `from`. */
export interface PageWindow {
  readonly revision: number
  readonly total: number
  readonly from: number
  readonly pages: readonly PageBandsEntry[]
}

/** What is told of a site where it can be read. */
export interface SiteInShort {
  readonly revision: number
  readonly pageCount: number
  readonly themeCount: number
  /** The colours of its slots as hex codes, in order; null where one is empty. */
  readonly colors: ReadonlyArray<string | null>
}

/** A site on the shelf; one whose stored form cannot be read is told by its name alone. */
export interface ShelfEntry {
  readonly id: string
  readonly name: string
  /** When it was changed last, or begun; ISO 8601. */
  readonly changedAt: string
  readonly place: 'shelf' | 'away' | 'removed'
  /** Days until it is gone for good, where it was removed. */
  readonly daysLeft?: number
  readonly site: SiteInShort | 'unreadable'
}

/** All that the editor needs to start, but for the pages themselves. */
export interface LoadedSite {
  readonly id: string
  readonly name: string
  readonly frame: Frame
  readonly revision: number
  readonly pageCount: number
  /** How many things are coloured alike, over all pages. */
  readonly looks: readonly Look[]
  /** The pictures that header, footer and styles show. */
  readonly pictures: Pictures
  /** The site’s own fonts. */
  readonly fonts: Fonts
  readonly undo?: Ahead
  readonly redo?: Ahead
}

export interface LoadedPage {
  readonly page: Page
  /** The pictures that it shows. */
  readonly pictures: Pictures
  readonly revision: number
}

/** The edit that a step back, or forward again, would be about. */
export interface Ahead {
  readonly revision: number
  readonly told: string
  /** The name that the window which made it gave it. */
  readonly clientId?: string
}

/** An edit as it landed on the site: what it changed, by record. */
export interface Landed {
  readonly revision: number
  /** The name that the window which made it gave it. */
  readonly clientId?: string
  readonly actor: string
  readonly kind: 'do' | 'undo' | 'redo'
  readonly told: string
  readonly records: readonly RecordChange[]
  /** Other records that it changed, as `kind/id`; `many` where there are too many to name. */
  readonly others: readonly string[] | 'many'
}

export interface ChangesSince {
  readonly revision: number
  readonly undo?: Ahead
  readonly redo?: Ahead
  readonly entries: readonly Landed[]
  /** So much happened that loading the site anew is less. */
  readonly far?: true
}

/** On how many pages each part of the site stands, by its id, and the titles of the first few. */
export type PartPlaces = Readonly<
  Record<string, { readonly pages: number; readonly titles: readonly string[] }>
>

/** Links that lead to a page that is gone, or nowhere yet, by what they stand in. */
export type BrokenLinks = ReadonlyArray<{
  readonly kind: 'frame' | 'page'
  readonly id: DocId
  /** Of a page. */
  readonly title: string | null
  readonly gone: number
  readonly nowhere: number
}>

/** What is counted over all pages. */
export interface SiteCounts {
  readonly revision: number
  readonly pageCount: number
  readonly looks: readonly Look[]
}

/** What was stored, with all that happened since the revision that the window knew. */
export type Saved = ChangesSince

export interface HistoryEntry {
  readonly revision: number
  readonly kind: 'do' | 'undo' | 'redo'
  readonly standing: 'live' | 'undone' | 'abandoned' | 'closed' | null
  readonly told: string
  readonly at: string
  /** Whether the state before it was kept, so that it can be taken back whatever came after. */
  readonly takesBack?: true
}

/** Some of the history, newest first; `revision` is that of the site. */
export interface HistoryPage {
  readonly revision: number
  readonly entries: readonly HistoryEntry[]
}

export interface CheckpointEntry {
  readonly id: string
  readonly name: string
  readonly revision: number
  readonly at: string
}

/** Loose uses that were left behind as slots changed. */
export interface Leftovers {
  readonly uses: number
}

export interface Inventory {
  readonly revision: number
  readonly entries: readonly InventoryEntry[]
  readonly uses: number
  readonly bound: number
}

/** What a sweep of colours leaves alone because it cannot be read exactly. */
export interface UnreadPlaces {
  readonly count: number
  readonly first: readonly Unread[]
}

/** A line of a dry run; colours in hex. */
export interface HitLine extends Facets, Pick<Use, 'label' | 'property' | 'owner'> {
  readonly key: string
  readonly before: string
  readonly after: string
  /** Colours before and after, where it is one. */
  readonly beforeColor?: string
  readonly afterColor?: string
  readonly context?: string
  readonly textAt?: number
  /** 1 where a loose use becomes bound, −1 where a bound one becomes loose. */
  readonly binds: -1 | 0 | 1
}

/** The hits of a dry run by all that they are told apart by, with what each document is called. */
export interface HitCells extends CellTable {
  readonly titles: readonly string[]
}

/** Something that stands on a site and can be exchanged: a typeface, a picture, the target of links, an address. */
export interface StandingText {
  readonly value: string
  /** What people call it. */
  readonly words: string
  readonly count: number
  /** In how many pages and shared parts. */
  readonly records: number
}
/** Most of them that are told. */
export const mostStanding = 500

/** What an exchange finds and has to leave: so many, the first of them told. */
export interface UnfitHits {
  readonly count: number
  readonly first: readonly UnfitHit[]
}

/** What a sweep would do, counted; the hits themselves are asked for some at a time, by the plan's id. */
export interface DryRun {
  readonly plan: string
  readonly revision: number
  readonly count: number
  readonly pages: number
  /** Loose uses of the whole site; of colours alone. */
  readonly looseBefore?: number
  /** What was found and has to stay as it is. */
  readonly unfit?: UnfitHits
  /** The hits by all that they are told apart by; asked for by the plan's id where these are many. */
  readonly cells?: HitCells
  /** The first of the hits, `firstHits` at most. */
  readonly first: readonly HitLine[]
}
export const firstHits = 100
/** Cells that come with a dry run; more are asked for. */
export const mostFirstCells = 1500

/** Some hits of a plan, in the order of places and pages, beginning with number `from`. */
export interface HitWindow {
  readonly from: number
  readonly hits: readonly HitLine[]
}

/** Colours that pictures can be asked for at a time. */
export const mostHeldColors = 20

/** A picture of pixels that shows one of the colours that were asked for. */
export interface HoldingPicture extends Pick<Picture, 'id' | 'fileName' | 'file'> {
  /** How much of it is of that colour, 0…1. */
  readonly share: number
  /** Which of the colours it is. */
  readonly color: number
  /** On how many pages it stands. */
  readonly pages: number
}

/** The pictures that show some colours; `more` of them are not told, and `waiting` ones were not looked at yet. */
export interface HoldingPictures {
  readonly pictures: readonly HoldingPicture[]
  readonly more: number
  readonly waiting: number
}

/** A copy of a picture in another hue, as its record would be. */
export interface RecoloredPicture extends Pick<
  Picture,
  'file' | 'fileName' | 'mediaType' | 'width' | 'height'
> {
  /** How much of it was recoloured, 0…1. */
  readonly share: number
  /** A file name that the original can be kept under. */
  readonly originalName: string
}

/** How a long piece of work stands. */
export interface JobState {
  readonly id: string
  readonly kind: JobKind
  readonly state: 'waiting' | 'running' | 'done' | 'refused' | 'cancelled'
  /** 0…1, and what is being done just now. */
  readonly progress: number
  readonly doing: string
  readonly problem?: Problem
  /** What it led to, once it is done. */
  readonly result?: JobResult
}

export type JobKind = 'wide' | 'step' | 'take-back' | 'publish' | 'pack'

export interface JobResult {
  /** The revision that a wide edit left. */
  readonly revision?: number
  /** How many uses, sections or records it changed. */
  readonly changed?: number
  /** Files that publishing wrote, for they were new or other than before. */
  readonly written?: number
  /** The file that packing made, by its hash. */
  readonly file?: string
}

/** What a window that listens is told. */
export type LiveNews =
  | ({ readonly what: 'landed' } & ChangesSince)
  | { readonly what: 'present'; readonly windows: readonly Present[] }
  | { readonly what: 'job'; readonly job: JobState }

/** What undo and redo answer: what was stored, or, where many records are gone through, how that stands. */
export type Stepped = Saved | { readonly job: JobState }

/** The themes that are proposed for the sections of some pages. */
export interface ProposedRhythms {
  /** Sections of all pages that are to get one. */
  readonly sections: number
  readonly pages: ReadonlyArray<{
    readonly page: PageId
    readonly themes: ReadonlyArray<readonly [section: SectionId, theme: ThemeId]>
  }>
}

/** Sections that share a name, wherever they are. */
export type NamedSections = ReadonlyArray<{ readonly doc: DocId; readonly section: SectionId }>

/** Somebody who has a site open. */
export interface Present {
  readonly window: string
  readonly name: string
  /** The title of the page that the window shows. */
  readonly page: string | null
}

/** How many sections of the site have a theme, on how many pages. */
export type ThemeUses = Readonly<
  Record<ThemeId, { readonly sections: number; readonly pages: number }>
>

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

/** A sweep that is kept under a name, for all sites of a workspace. */
export interface RecipeEntry {
  readonly id: string
  readonly name: string
  readonly recipe: Recipe
}

/** Where a livery can be taken from. */
export type LiverySource = 'kept' | 'site' | 'design'

/** A livery that can be taken, by what it is known by. */
export interface LiveryEntry {
  readonly from: LiverySource
  readonly id: string
  readonly name: string
  /** Colours of its slots in hex, the grounds of its themes first, where they are at hand. */
  readonly colors?: readonly string[]
  /** Its typefaces: that of headings, and that of running text. */
  readonly faces?: readonly [string, string]
  /** For whom a design is; when a livery was kept. */
  readonly told?: string
}
