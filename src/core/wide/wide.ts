import * as z from 'zod'
import type { Change } from '../changes'
import type { EditProblem } from '../edit'
import type { KnownOfSite } from '../exchange'
import type {
  ColorDecision,
  Frame,
  PageId,
  Placed,
  RecordRef,
  SiteRecord,
  SlotId,
  StyleId,
  ThemeId,
} from '../site'
import type { Sought, SweepPaints } from '../sweep'
import type { BandEntry, Use } from '../uses'

/** Uses that are asked for: those bound to one of the slots, and loose ones of one of the colours (keys). */
export interface UseQuestion {
  readonly slots: readonly SlotId[]
  readonly colors: readonly string[]
  /** Only what paints these. */
  readonly paints?: readonly SweepPaints[]
  /** Only what this page decides. */
  readonly page?: PageId
}

/** The records that a wide edit may touch, as a question to the index. */
export interface Reach {
  /** Whether the frame is one of them, whatever it holds. */
  readonly frame?: boolean
  readonly uses?: UseQuestion
  /** Records with a section in this theme. */
  readonly theme?: ThemeId
  /** Records with elements that wear this style, or are of this kind and decide something themselves. */
  readonly looks?: { readonly style: StyleId } | { readonly kind: string }
  readonly pages?: readonly PageId[]
  /** Records whose stored text matches a pattern, whatever the case of its letters; all that hold texts where there is none. */
  readonly written?: { readonly pattern: string | undefined }
  /** Records that are otherwise in this checkpoint, or not there. */
  readonly checkpoint?: string
}

/** A page by its sections. */
export interface PageBands {
  readonly page: PageId
  readonly bands: ReadonlyArray<Placed<BandEntry>>
}

/** What is known of the whole site before any record of it is read. */
export interface Known {
  readonly frame: Frame
  /** Keys of all loose colours in use. */
  readonly colors: readonly string[]
  /** The sections of all pages, in order. */
  readonly pages: readonly PageBands[]
  /** The name of the checkpoint that the intent is about; undefined where there is none. */
  readonly checkpoint?: string
  /** Pictures and pages of the site by their ids. */
  readonly names?: KnownOfSite
}

/** One record that a wide edit looks at. */
export interface Subject extends RecordRef {
  /** What it is, read when it is asked for; undefined where it is not there, and only a checkpoint has it. */
  readonly read: () => SiteRecord | undefined
  /** Its uses that were asked for, in the colours of the palette. */
  readonly uses: readonly Use[]
  /** What it is in the checkpoint that was asked for. */
  readonly target?: SiteRecord
}

export interface Planned {
  readonly changes: readonly Change[]
  /** What was changed, counted in what the edit is told by: uses, sections, records. */
  readonly count: number
}

/** What any decision comes to; undefined where it stays. */
export type Everywhere = (sought: Sought) => ColorDecision | undefined

export type Prepared<T> =
  { readonly ok: true; readonly value: T } | { readonly ok: false; readonly problem: EditProblem }

/** What was counted, on which revision of the site. */
export const expected = z.strictObject({
  count: z.number().int().min(0),
  revision: z.number().int().min(0),
})
export type Expected = z.infer<typeof expected>

/**
 * A change that may touch every record of a site. It is planned where the index
 * is, a record at a time, and stored as one edit.
 */
export interface WideKind<Intent extends { readonly type: string }, Ready> {
  readonly type: Intent['type']
  readonly schema: z.ZodType<Intent>
  /** What it wants to know beside the frame. */
  readonly asks: ReadonlyArray<'colors' | 'pages' | 'checkpoint' | 'names'>
  /** What holds for all records, or why it cannot be done. */
  readonly prepare: (intent: Intent, known: Known) => Prepared<Ready>
  readonly reach: (ready: Ready) => Reach
  /** The changes of one record; none where it stays as it is. */
  readonly plan: (ready: Ready, subject: Subject) => Planned
  /**
   * What a decision that stands by itself on a page comes to, where that hangs on nothing but the
   * decision: pages that hold no others are then not planned one by one.
   */
  readonly everywhere?: (ready: Ready) => Everywhere | undefined
  /** One line for people. `count` is the sum of what was planned. */
  readonly describe: (ready: Ready, count: number) => string
  /** Whether the state before is kept under a name of its own. */
  readonly checkpoint?: true
  /** What a person saw before saying yes: where it comes to another count, nothing is done. */
  readonly expects?: (intent: Intent) => Expected | undefined
  /** Whether there is anything to do without a single change counted. */
  readonly always?: true
}

export function defineWide<Intent extends { readonly type: string }, Ready>(
  kind: WideKind<Intent, Ready>,
): WideKind<Intent, Ready> {
  return kind
}

export const nothing: Planned = { changes: [], count: 0 }
export const ready = <T>(value: T): Prepared<T> => ({ ok: true, value })
export const refuse = (problem: EditProblem) => ({ ok: false, problem }) as const
export const many = (count: number, one: string, more = `${one}s`) =>
  `${count} ${count === 1 ? one : more}`
