import type { Edit } from '../edit'
import type {
  ChangesSince,
  JobState,
  LoadedPage,
  LoadedSite,
  Result,
  Saved,
  SiteCounts,
  Stepped,
} from '../payloads'
import type { WideIntent } from '../wide'

export interface PendingEdit {
  readonly clientId: string
  readonly edit: Edit
  /** In words, with the names that held before it. */
  readonly told?: string
}

/** The way to the server, as far as keeping a site in step with it needs one. */
export interface SiteTransport {
  readonly loadSite: () => Promise<Result<LoadedSite>>
  readonly loadPage: (page: string) => Promise<Result<LoadedPage>>
  readonly counts: () => Promise<Result<SiteCounts>>
  readonly save: (base: number, edits: readonly PendingEdit[]) => Promise<Result<Saved>>
  readonly changes: (since: number, held: readonly string[]) => Promise<Result<ChangesSince>>
  readonly step: (kind: 'undo' | 'redo', base: number) => Promise<Result<Stepped>>
  readonly wide: (base: number | 'any', intent: WideIntent) => Promise<Result<JobState>>
  /** Takes an edit back that others came after; what was changed since stays, where one leaves it. */
  readonly takeBack: (revision: number, leaves: boolean) => Promise<Result<JobState>>
  readonly publish: () => Promise<Result<JobState>>
  readonly job: (id: string) => Promise<Result<JobState>>
  readonly cancel: (id: string) => Promise<Result<null>>
}

/** What the surroundings lend: time, names that nobody else makes, and a place that outlives a reload. */
export interface Surroundings {
  /** Calls back after so many milliseconds; returns what stops it. */
  readonly after: (milliseconds: number, work: () => void) => () => void
  readonly newId: () => string
  readonly keepUnsent: (text: string | null) => void
  readonly readUnsent: () => string | null
}
