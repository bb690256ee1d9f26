import type { Transaction } from 'sequelize'
import type { RecordRef } from '@/core/site'
import { insertRows, select, tell } from '../database/sets'

/** Keeps the state of a site: a list of its records' hashes, within a transaction that holds the site. */
export function keepSnapshot(
  snapshot: string,
  siteId: string,
  transaction: Transaction,
): Promise<void> {
  return tell(
    `insert into snapshot_records (snapshot, site_id, kind, id, hash)
     select $1, site_id, kind, id, hash from records where site_id = $2`,
    [snapshot, siteId],
    transaction,
  )
}

/** Keeps a list of records as a snapshot, as they were when they were read. */
export function keepStates(
  snapshot: string,
  siteId: string,
  states: readonly SnapshotState[],
  transaction: Transaction,
): Promise<void> {
  const rows = states.map(({ kind, id, hash }) => ({ snapshot, site_id: siteId, kind, id, hash }))
  return insertRows('snapshot_records', columns, rows, transaction)
}

const columns = {
  snapshot: 'text',
  site_id: 'text',
  kind: 'text',
  id: 'text',
  hash: 'text',
} as const

/** A record as a snapshot has it. */
export interface SnapshotState extends RecordRef {
  readonly hash: string
}

/** The records of a snapshot. */
export function snapshotStates(
  snapshot: string,
  siteId: string,
  transaction?: Transaction,
): Promise<SnapshotState[]> {
  return select<SnapshotState>(
    `select kind, id, hash from snapshot_records
     where snapshot = $1 and site_id = $2 order by kind, id`,
    [snapshot, siteId],
    transaction,
  )
}
