import { Op } from 'sequelize'
import { done, type HistoryEntry, type HistoryPage, type Result } from '@/core/payloads'
import { siteFor, type Actor } from '../access'
import { models, type EditRow } from '../database/models'

const entryOf = ({ revision, kind, standing, told, createdAt }: EditRow): HistoryEntry => ({
  revision,
  kind,
  standing,
  told,
  at: createdAt.toISOString(),
})

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
  return done({ revision: found.value.revision, entries: rows.map(entryOf) })
}
