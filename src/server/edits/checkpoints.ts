import { randomUUID } from 'node:crypto'
import type { Transaction } from 'sequelize'
import { done, type CheckpointEntry, type Result } from '@/core/payloads'
import { siteFor, type Actor } from '../access'
import { models, type SiteRow } from '../database/models'
import { keepSnapshot } from '../records'
import { changeSite } from './change-site'

/** Keeps the state of a site under a name, within a transaction that holds the site. */
export async function keepCheckpoint(
  site: Pick<SiteRow, 'id' | 'revision'>,
  name: string,
  transaction: Transaction,
): Promise<void> {
  const { id: siteId, revision } = site
  const id = randomUUID()
  await models().Checkpoint.create({ id, siteId, name, revision }, { transaction })
  await keepSnapshot(id, siteId, transaction)
}

export async function takeCheckpoint(
  actor: Actor,
  siteId: string,
  base: number,
  name: string,
): Promise<Result<null>> {
  return changeSite(actor, siteId, base, async (site, transaction) => {
    await keepCheckpoint(site, name, transaction)
    return done(null)
  })
}

export async function listCheckpoints(
  actor: Actor,
  siteId: string,
): Promise<Result<CheckpointEntry[]>> {
  const found = await siteFor(actor, 'read', siteId)
  if (!found.ok) return found
  const rows = await models().Checkpoint.findAll({
    where: { siteId },
    order: [['createdAt', 'DESC']],
  })
  return done(
    rows.map(({ id, name, revision, createdAt }) => ({
      id,
      name,
      revision,
      at: createdAt.toISOString(),
    })),
  )
}
