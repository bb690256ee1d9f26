import type { CreationAttributes, Transaction } from 'sequelize'
import type { Change } from '@/core/changes'
import type { JobResult, Result } from '@/core/payloads'
import type { SiteRecord } from '@/core/site'
import type { EditRow, SiteRow } from '../database/models'
import type { ReachedRecord } from '../uses/questions'
import type { WholeExchange } from './stage-exchanged'

export interface RecordPlan {
  readonly changes: readonly Change[]
  readonly counted: number
}

/** A record that a plan looks at. */
export interface Looked extends ReachedRecord {
  /** What it is, read when it is asked for; where only a checkpoint has it, nothing. */
  readonly read: () => SiteRecord | undefined
}

/** How a change of many records is planned: what holds for all of them, which they are, what becomes of each. */
export interface WidePlan<Ready> {
  /** Whether it is a way back or forth in the history, which is told by the change that it points at. */
  readonly isStep?: true
  /** Asked anew where the frame is other than it was. */
  readonly prepare: (transaction: Transaction) => Promise<Result<Ready>>
  /** The records that it may touch, of those that changed after a revision. */
  readonly reached: (
    ready: Ready,
    after: number,
    transaction?: Transaction,
  ) => Promise<ReachedRecord[]>
  /** What is exchanged on pages wherever it stands, so that those that hold nothing else need not be planned. */
  readonly everywhere?: (
    ready: Ready,
    transaction?: Transaction,
  ) => Promise<WholeExchange | undefined>
  /** Plans of some records, one for each; none where a record stays as it is. */
  readonly plan: (
    ready: Ready,
    records: readonly Looked[],
    transaction?: Transaction,
  ) => Promise<ReadonlyArray<RecordPlan | undefined>>
  /** The line of history, or why the whole is refused, once all is planned; the site is held. */
  readonly conclude: (
    ready: Ready,
    totals: { readonly records: number; readonly counted: number },
    site: SiteRow,
    transaction: Transaction,
  ) => Promise<Result<Omit<CreationAttributes<EditRow>, 'siteId' | 'revision'>>>
}

/** Tells how far the work is, and hears whether it is still wanted. */
export interface WorkWatch {
  /** 0…1, with words for what is done. */
  readonly report: (progress: number, doing: string) => void
  readonly isCancelled: () => boolean
  /** Told within the transaction that makes the work final. */
  readonly landed?: (result: JobResult, transaction: Transaction) => Promise<void>
}

export const unwatched: WorkWatch = { report: () => undefined, isCancelled: () => false }

/** Who carried a wide edit out no longer wants it: nothing of it is kept. */
export class Cancelled extends Error {}

/** A plan that is being carried out. */
export interface Run<Ready> {
  readonly job: string
  readonly siteId: string
  readonly plan: WidePlan<Ready>
  readonly watch: WorkWatch
}
