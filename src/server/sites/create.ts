import type { Transaction } from 'sequelize'
import { recordsOf, type SiteDocs } from '@/core/site'
import { models } from '../database/models'
import { putFirstRecords } from '../records'

export interface NewSite {
  readonly id: string
  readonly workspaceId: string
  readonly position: number
  /** Where it comes with a history, the last of that. */
  readonly revision?: number
}

/** Creates a site out of its records, which have been checked. */
export async function createSite(
  { id, workspaceId, position, revision = 0 }: NewSite,
  docs: SiteDocs,
  transaction: Transaction,
): Promise<void> {
  const { name } = docs.frame
  await models().Site.create({ id, workspaceId, name, position, revision }, { transaction })
  await putFirstRecords(id, revision, recordsOf(docs), transaction)
}
