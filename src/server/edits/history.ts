import { Op } from 'sequelize'
import { done, type HistoryEntry, type HistoryPage, type Result } from '@/core/payloads'
import { siteFor, type Actor } from '../access'
import { models, type EditRow } from '../database/models'
import { select } from '../database/sets'

const entryOf = (
  { revision, kind, standing, told, createdAt }: EditRow,
  kept: ReadonlySet<number>,
): HistoryEntry => ({
  revision,
  kind,
  standing,
  told,
  at: createdAt.toISOString(),
  ...(kind === 'do' && standing === 'live' && kept.has(revision) ? { takesBack: true } : {}),
})

/** The edits of which the state before was kept. */
async function withCheckpoint(siteId: string, revisions: readonly number[]) {
  const rows = await select<{ revision: number }>(
    `select e.revision from unnest($2::int[]) as e (revision)
     where exists (select from checkpoints c where c.site_id = $1 
       and c.revision = e.revision - 1)`,
    [siteId, revisions],
  )
  return new Set(rows.map(({ revision }) => revision))
}

/** The newest edits first, at most `limit`, those before a revision where one is given. */
export async function readHistory(
  actor: Actor,
  siteId: string,
  { limit = 100, before }: { readonly limit?: number; readonly before?: number } = {},
): Promise<Result<HistoryPage>> {
  const found = await siteFor(actor, 'read', siteId)
  if (!found.ok) return found
  const rows = await models().Edit.findAll({
    where: { siteId, ...(before === undefined ? {} : { revision: { [Op.lt]: before } }) },
    attributes: ['revision', 'kind', 'standing', 'told', 'createdAt'],
    order: [['revision', 'DESC']],
    limit,
  })
  const kept = await withCheckpoint(
    siteId,
    rows.map(({ revision }) => revision),
  )
  return done({
    revision: found.value.revision,
    entries: rows.map((row) => entryOf(row, kept)),
  })
}
