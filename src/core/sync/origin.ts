import type { Ahead } from '../payloads'

/** Where an edit was made: in this window, in another one since this one opened, or before that. */
export type Origin = 'here' | 'elsewhere' | 'before'

/** A step that can be taken, with where what it is about was made. */
export interface Step {
  /** Tells it from every other step: the same before and after it is stored. */
  readonly id: string
  readonly told: string
  readonly origin: Origin
}

/** Knows which edits were made in this window. */
export interface OriginWatch {
  readonly made: (clientId: string) => void
  readonly landed: (revision: number) => void
  readonly stepOf: (ahead: Ahead | undefined) => Step | undefined
}

export function createOriginWatch(opened: number): OriginWatch {
  const clientIds = new Set<string>()
  const revisions = new Set<number>()
  const originOf = ({ revision, clientId }: Ahead): Origin => {
    if (revisions.has(revision) || (clientId && clientIds.has(clientId))) return 'here'
    return revision <= opened ? 'before' : 'elsewhere'
  }
  return {
    made: (clientId) => void clientIds.add(clientId),
    landed: (revision) => void revisions.add(revision),
    stepOf: (ahead) =>
      ahead && {
        id: ahead.clientId ?? `revision ${ahead.revision}`,
        told: ahead.told,
        origin: originOf(ahead),
      },
  }
}
