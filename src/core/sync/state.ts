import type { JobState, Present, Problem } from '../payloads'
import type { SiteDocs } from '../site'
import type { Look } from '../uses'
import type { Clash } from './clash-watch'
import type { Step } from './origin'
import type { PendingEdit } from './transport'

/** `waiting`: changes are kept here and are sent again by themselves. */
export type SaveState = 'saved' | 'saving' | 'waiting'

/** A change that could not be kept, and why. */
export interface LostEdit {
  readonly told: string
  readonly problem: Problem
  /** What was typed, where that is more than is told. */
  readonly typed?: string
}

/** A site as one window has it: what is stored, with what is not sent yet on top. */
export interface SyncState {
  readonly siteId: string
  /** The records at hand: the frame, and the pages that were loaded with their pictures. */
  readonly docs: SiteDocs
  readonly revision: number
  /** What a step back would take back, and what a step forward would do again. */
  readonly undo?: Step
  readonly redo?: Step
  readonly pageCount: number
  /** How many things are coloured alike on the pages that are not at hand. */
  readonly otherLooks: readonly Look[]
  readonly pending: readonly PendingEdit[]
  readonly saveState: SaveState
  /** How many changes the server is making for this window: undo, redo, bulk edits. */
  readonly remoteChanges: number
  readonly lost: readonly LostEdit[]
  /** Changes of ours where somebody else has changed the same. */
  readonly clashes: readonly Clash[]
  /** Who else has the site open. */
  readonly present: readonly Present[]
  /** Long work on the site that is under way. */
  readonly jobs: readonly JobState[]
  /** Counts every change of the stored state, so that views of it know when to ask anew. */
  readonly generation: number
  /** Counts every change of any page, stored or not, so that lists of pages know. */
  readonly pagesGeneration: number
}
