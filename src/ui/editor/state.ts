import type { deviceWidths } from './device-widths'
import type { StoreApi } from 'zustand/vanilla'
import type { ContentPath, LookTarget } from '@/core/edit'
import type { ReadProblem } from '@/core/formats'
import type { HarmonyId, HueFamily, Mood, PaletteShift } from '@/core/palette'
import type { Problem } from '@/core/payloads'
import type { RoleId } from '@/core/roles'
import type {
  Candidate,
  DocId,
  ElementId,
  Frame,
  PageId,
  SectionId,
  SlotId,
  ThemeId,
} from '@/core/site'
import type { InventoryEntry } from '@/core/sweep'
import type { SettingId, State } from '@/core/traits'
import type { SiteSync, SyncState } from '@/core/sync'
import type { FoundColor } from '@/workers/picture.worker'
import type { SiteClient } from './client'
import type { PageList } from './page-list'

/** What is chosen on the stage: a section, or an element in it, and one of its colours. */
export interface Selection {
  readonly doc: DocId
  readonly section: SectionId
  readonly element?: ElementId
  /** One of its properties; left out, the first that it shows. */
  readonly property?: string
}

/** Stands for no property of what is chosen: all are folded. */
export const NO_PROPERTY = ''

/** What a selection is to those who decide how things look. */
export const targetOf = ({ doc, section, element }: Selection): LookTarget =>
  element ? { doc, element } : { doc, section }

/** Whether two selections are of one thing, whichever of its properties they are about. */
export const isSameThing = (a: Selection | undefined, b: Selection | undefined): boolean =>
  a?.doc === b?.doc && a?.section === b?.section && a?.element === b?.element

/** Words of an element, by where they lie in its content. */
export interface WordsPlace {
  readonly doc: DocId
  readonly section: SectionId
  readonly element: ElementId
  readonly at: ContentPath
  /** Where the caret was asked for: in CSS pixels of the page, or behind so many characters. */
  readonly caret?: { readonly left: number; readonly top: number } | { readonly behind: number }
}

/** Where a trial comes from, with what that way in needs to go on. */
export type TrialWay =
  | {
      readonly way: 'list'
      readonly text: string
      readonly problems: readonly ReadProblem[]
    }
  | { readonly way: 'harmony'; readonly base: string; readonly harmony: HarmonyId }
  | {
      readonly way: 'others'
      /** Every eight that were seen: new ones, or variations of one that pleased. */
      readonly steps: ReadonlyArray<{ readonly seed: number; readonly like?: readonly string[] }>
      readonly at: number
      /** Which of the eight is on trial. */
      readonly chosen: number
      /** The slots that stay as they are. */
      readonly stays: readonly SlotId[]
    }
  | { readonly way: 'shift'; readonly shift: PaletteShift; readonly stays: readonly SlotId[] }
  | {
      readonly way: 'picture'
      readonly url?: string
      readonly found: readonly FoundColor[]
      readonly count: number
    }
  | { readonly way: 'study'; readonly study: string }
  | {
      readonly way: 'ready'
      readonly name?: string
      readonly mood?: Mood
      readonly hue?: HueFamily
    }
  | { readonly way: 'grey' }
  | { readonly way: 'original' }

export interface Trial {
  readonly from: TrialWay
  readonly colors: readonly Candidate[]
  /** For each slot in the palette's order, the index of its colour; −1 leaves the slot as it is. */
  readonly given: readonly number[]
  /** Whether colours that no slot takes become new slots. */
  readonly addRest: boolean
  /** Whether slots take the names of their colours. */
  readonly takeNames: boolean
  /** Whether slots that are named after a colour which they would no longer have get new names. */
  readonly rename: boolean
  /** Whether applying it generates the themes anew; absent: where that leaves less that is hard to read. */
  readonly themesAnew?: boolean
}

/** What a trial would lead to, with the themes as they are and with themes generated anew. */
export interface Outlook {
  readonly trial: Trial
  /** Pairs that are hard to read: now, then, and then with the themes generated anew. */
  readonly now: number
  readonly then: number
  readonly thenAnew: number
  /** How many cells would be generated otherwise. */
  readonly cells: number
  /** Whether the themes would be generated anew: as somebody chose, else where it would leave less that is hard to read. */
  readonly anew: boolean
  /** The frame as it would be. */
  readonly frame: Frame
}

/** What stands in the middle of the view: the page, drawn things, or palettes side by side. */
export type Middle = 'page' | 'things' | 'side'

/** A block of the theme sheet: some roles in some themes; the first of each is where it began. */
export interface SheetCells {
  readonly roles: readonly RoleId[]
  readonly themes: readonly ThemeId[]
}

/** Rows of the theme sheet: roles that the site uses, all, or what is hard to read. */
export const looksPanes = ['shapes', 'type', 'styles', 'liveries', 'css'] as const
export type LooksPane = (typeof looksPanes)[number]

export type SheetRows = 'used' | 'all' | 'failing'

export type DeviceWidth = keyof typeof deviceWidths

/** A slot in hand, dragged by the pointer or led by keys over what it may paint. */
export interface Brush {
  readonly slot: SlotId
  /** Points of lightness from the slot itself, −100…100. */
  readonly shade: number
  /** How many colours of the thing further than the one that lies under the pointer. */
  readonly further: number
  /** Whether keys lead it, rather than the pointer. */
  readonly byKeys?: boolean
}

/** What one window shows, and nobody else: nothing of it is stored. */
export interface ViewState {
  readonly pageId: PageId
  readonly selection?: Selection
  /** What is chosen besides, to be changed together with it. */
  readonly also?: readonly Selection[]
  /** The state in which what is chosen is looked at and decided; at rest where absent. */
  readonly state?: State
  /** Where a section is being added: before another one, or last. */
  readonly adding?: { readonly before?: SectionId }
  /** The words that are edited where they stand. */
  readonly words?: WordsPlace
  /** The slot whose uses are outlined on the stage. */
  readonly shownSlot?: SlotId
  /** The slot whose editor is open in the tray. */
  readonly openSlot?: SlotId
  /** Where a slot that is dragged over the stage would land. */
  readonly dropTarget?: Selection
  /** A slot in hand: dragged over the page, or led over it by keys. */
  readonly brush?: Brush
  /** The cells that are chosen on the theme sheet. */
  readonly sheetCells?: SheetCells
  /** Which rows of the theme sheet are shown. */
  readonly sheetRows: SheetRows
  /** Colours that Sweep begins with. */
  readonly sweepFrom: readonly InventoryEntry[]
  /** A candidate palette that is shown on the stage and not yet applied. */
  readonly trial?: Trial
  /** What the trial would lead to; found once it rests, so for a while of one before it. */
  readonly outlook?: Outlook
  /** What of the looks of the site is shown, and the setting among them that one goes to. */
  readonly looksPane: LooksPane
  readonly shownSetting?: SettingId
  /** Custom CSS that is typed and not kept yet, and what it began from. */
  readonly cssDraft?: { readonly text: string; readonly from: string }
  /** How many values are being moved by a control and not saved yet. */
  readonly moving: number
  /** The line of the custom CSS that one goes to. */
  readonly cssLine?: number
  /** The add-on whose settings are shown. */
  readonly shownAddOn?: string
  readonly middle: Middle
  /** Where the page before is parted from the page after, 0…1 of its width; absent when only one is shown. */
  readonly divider?: number
  /** Whether the dark edition is shown and decided, rather than the light one. */
  readonly afterDark: boolean
  /** Whether what belongs to a colour is decided along with it: label, border, pointer colours. */
  readonly goAlong: boolean
  /** Whether the names of the sections' themes are shown on the page. */
  readonly chipNames: boolean
  readonly width: DeviceWidth
}

export type EditorState = SyncState & ViewState

/** A state that can be looked at and followed; what changes it stands beside it. */
export type Watched<State> = Pick<StoreApi<State>, 'getState' | 'getInitialState' | 'subscribe'>

export interface Editor extends Pick<
  SiteSync,
  | 'dispatch'
  | 'carryOut'
  | 'step'
  | 'wide'
  | 'takeBack'
  | 'publish'
  | 'cancel'
  | 'onServer'
  | 'holdPictures'
  | 'catchUp'
  | 'dismissLost'
  | 'resume'
  | 'hear'
> {
  readonly store: Watched<EditorState>
  readonly client: SiteClient
  /** All pages of the site, as far as they have come into view. */
  readonly pages: PageList
  /** The name of this window among those that have the site open. */
  readonly window: string
  /** Changes what this window shows; the documents change by edits alone. */
  readonly show: (view: Partial<ViewState>) => void
  /** Shows a page; gives why it cannot be shown, which the caller tells. */
  readonly openPage: (page: PageId) => Promise<Problem | undefined>
}

/** Whether the dark edition is looked at: a site that has none any more is seen in its light one. */
export const isAfterDark = ({ afterDark, docs }: EditorState): boolean =>
  afterDark && docs.frame.edition !== 'light'
