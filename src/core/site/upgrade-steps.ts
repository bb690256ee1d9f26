import type { Change } from '../changes'

/** Some stored data whose shape an upgrade step knows. */
export type Stored = Readonly<Record<string, unknown>>

/**
 * The step from one schema version of a kind of record to the next: what becomes
 * of a record, and what becomes of a change that was made to one. A change that
 * cannot be carried over is undefined: what was done before the step can then no
 * longer be taken back, which is told.
 */
export interface UpgradeStep {
  readonly record: (record: Stored) => Stored
  readonly change: (change: Change) => Change | undefined
}

/** For steps that add members which no earlier change can have touched. */
export const carriedOver = (change: Change): Change => change

/** For a version in which only more can be said: older programs are to know that they do not read it. */
export const unchanged: UpgradeStep = { record: (record) => record, change: carriedOver }

/** Whether a change exchanges a whole that holds the member at `path`, which it then does not name itself. */
export const isAbove = ({ path }: Change, ...member: string[]): boolean =>
  path.length <= member.length && path.every((step, i) => step === member[i] || member[i] === '*')

/** A change whose whole values are brought to the next shape. */
export function withWholes(change: Change, upgrade: (whole: Stored) => Stored): Change | undefined {
  if ('at' in change) return undefined
  const lift = (whole: unknown) =>
    typeof whole === 'object' && whole !== null && !Array.isArray(whole)
      ? (upgrade(whole as Stored) as never)
      : undefined
  const [from, to] = [lift(change.from), lift(change.to)]
  if ((change.from !== undefined) !== (from !== undefined)) return undefined
  if ((change.to !== undefined) !== (to !== undefined)) return undefined
  return {
    path: change.path,
    ...(from === undefined ? {} : { from }),
    ...(to === undefined ? {} : { to }),
  }
}
