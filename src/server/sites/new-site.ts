import type { Transaction } from 'sequelize'
import { idFromName } from '@/core/site'
import { select, tell } from '../database/sets'
import type { NewSite } from './create'

/** A new site of a workspace: last on the shelf, by an id that nobody has. */
export async function newSite(
  workspaceId: string,
  name: string,
  transaction: Transaction,
): Promise<NewSite> {
  // One at a time: two that are begun at once do not get one id.
  await tell(`select pg_advisory_xact_lock(hashtext('begin a site'))`, [], transaction)
  const rows = await select<{ id: string; position: number }>(
    'select id, position from sites',
    [],
    transaction,
  )
  const taken = rows.map(({ id }) => id)
  const position = Math.max(-1, ...rows.map((row) => row.position)) + 1
  return { id: idFromName(name, taken, 'site'), workspaceId, position }
}
