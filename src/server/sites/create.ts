import type { Transaction } from 'sequelize'
import { recordsOf, type SiteDocs } from '@/core/site'
import { models } from '../database/models'
import { writeRecords } from '../records'

export interface NewSite {
  readonly id: string
  readonly workspaceId: string
  readonly position: number
}

/** Creates a site out of its records, which have been checked. */
export async function createSite(
  { id, workspaceId, position }: NewSite,
  docs: SiteDocs,
  transaction: Transaction,
): Promise<void> {
  const { name } = docs.frame
  await models().Site.create({ id, workspaceId, name, position, revision: 0 }, { transaction })
  await writeRecords(id, 0, recordsOf(docs), transaction)
}
