import { randomUUID } from 'node:crypto'
import type { Transaction } from 'sequelize'
import { done, refused, type CheckpointEntry, type Result, type Saved } from '@/core/payloads'
import { readFrame, readPage } from '@/core/site'
import type { Actor } from './actor'
import { models, type SiteRow } from './database/models'
import { changeAndTell, changeSite, performEdit } from './edits'
import { loadDocs, siteFor } from './sites'

/** Keeps the whole state of a site under a name, within a transaction that holds the site. */
export async function keepCheckpoint(
  site: SiteRow,
  name: string,
  transaction: Transaction,
): Promise<void> {
  const { frame, pages } = await loadDocs(site, 'all', transaction)
  await models().Checkpoint.create(
    {
      id: randomUUID(),
      siteId: site.id,
      name,
      revision: site.revision,
      frame,
      pages: Object.values(pages),
    },
    { transaction },
  )
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
    attributes: ['id', 'name', 'revision', 'createdAt'],
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

export function returnToCheckpoint(
  actor: Actor,
  siteId: string,
  base: number,
  checkpointId: string,
): Promise<Result<Saved>> {
  return changeAndTell(actor, siteId, base, async (site, transaction) => {
    const row = await models().Checkpoint.findOne({
      where: { siteId, id: checkpointId },
      transaction,
    })
    if (!row) return refused({ code: 'not-found' })
    const performed = await performEdit(
      actor,
      site,
      {
        type: 'restore',
        checkpoint: row.name,
        frame: readFrame(row.frame),
        pages: row.pages.map(readPage),
      },
      null,
      transaction,
    )
    return performed.ok ? done({}) : performed
  })
}
