import type { StoreApi } from 'zustand/vanilla'
import type { Edit, EditProblem } from '@/core/edit'
import type { ReadProblem } from '@/core/formats'
import type { HarmonyId, HueFamily, Mood } from '@/core/palette'
import type { PageEntry, Problem, Result } from '@/core/payloads'
import type {
  Assets,
  Candidate,
  DocId,
  ElementId,
  PageId,
  SectionId,
  SiteDocs,
  SlotId,
  ThemeId,
} from '@/core/site'
import type { RoleId } from '@/core/theme'
import type { FoundColor } from '@/workers/picture.worker'
import type { Clash } from './clashes'
import type { PendingEdit, SiteClient } from './client'

/** What is chosen on the stage: a section, or an element in it, and one of its colours. */
export interface Selection {
  readonly doc: DocId
  readonly section: SectionId
  readonly element?: ElementId
  readonly facet?: string
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
      readonly way: 'reshuffle'
      readonly seeds: readonly number[]
      readonly at: number
      readonly locked: readonly SlotId[]
    }
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
}

/** What stands in the middle of the view: the page, drawn things, or palettes side by side. */
export type Middle = 'page' | 'things' | 'side'

/** A block of the theme sheet: some roles in some themes; the first of each is where it began. */
export interface SheetCells {
  readonly roles: readonly RoleId[]
  readonly themes: readonly ThemeId[]
}

/** `waiting`: changes are kept here and are sent again by themselves. */
export type SaveState = 'saved' | 'saving' | 'waiting'

/** A change that could not be kept, and why. */
export interface LostEdit {
  readonly told: string
  readonly problem: Problem
}

export type DeviceWidth = 'desktop' | 'tablet' | 'phone'

export interface EditorState {
  readonly siteId: string
  readonly docs: SiteDocs
  readonly pages: readonly PageEntry[]
  readonly assets: Assets
  readonly revision: number
  readonly canUndo: boolean
  readonly canRedo: boolean
  readonly pending: readonly PendingEdit[]
  readonly saveState: SaveState
  readonly lost: readonly LostEdit[]
  /** Changes of ours where somebody else has changed the same. */
  readonly clashes: readonly Clash[]
  readonly pageId: PageId
  readonly selection?: Selection
  /** The slot whose uses are outlined on the stage. */
  readonly shownSlot?: SlotId
  /** The slot whose editor is open in the tray. */
  readonly openSlot?: SlotId
  /** Where a slot that is dragged over the stage would land. */
  readonly dropTarget?: Selection
  /** The cells that are chosen on the theme sheet. */
  readonly sheetCells?: SheetCells
  /** A candidate palette that is shown on the stage and not yet applied. */
  readonly trial?: Trial
  readonly middle: Middle
  /** Where the page before is parted from the page after, 0…1 of its width; absent when only one is shown. */
  readonly divider?: number
  /** Whether the dark edition is shown and decided, rather than the light one. */
  readonly afterDark: boolean
  readonly width: DeviceWidth
  /** Counts every change of the stored state, so that views of it know when to ask anew. */
  readonly generation: number
}

export interface Editor {
  readonly store: StoreApi<EditorState>
  readonly client: SiteClient
  /** Carries an edit out at once; it is stored in the background. Gives what is wrong, which the caller tells. */
  readonly dispatch: (edit: Edit) => EditProblem | undefined
  /** The same, and tells by itself what could not be done; false then. */
  readonly carryOut: (edit: Edit) => boolean
  /** Shows a page; gives why it cannot be shown, which the caller tells. */
  readonly openPage: (page: PageId) => Promise<Problem | undefined>
  /** Loads pages that edits will touch and that are not at hand. */
  readonly needPages: (pages: readonly PageId[]) => Promise<boolean>
  readonly step: (kind: 'undo' | 'redo') => Promise<Problem | undefined>
  /** Runs something on the server that needs every pending edit stored first, then loads what it left. */
  readonly onServer: <T>(work: (base: number) => Promise<Result<T>>) => Promise<Result<T>>
  /** Asks whether another window has changed the site, and follows. */
  readonly catchUp: () => Promise<void>
  readonly dismissLost: () => void
  /** Sends what a reload of the window left unsent. */
  readonly resume: () => void
}

/** Whether the dark edition is looked at: a site that has none any more is seen in its light one. */
export const isAfterDark = ({ afterDark, docs }: EditorState): boolean =>
  afterDark && docs.frame.edition !== 'light'
