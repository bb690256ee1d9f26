import type { Transaction } from 'sequelize'
import type { Ahead } from '@/core/payloads'
import { firstOf } from '../database/first-of'
import { models, type EditRow } from '../database/models'

type Kind = 'undo' | 'redo'

/** The edit that a step is about: the last that stands, or the first of those that were taken back. */
export const targetOf = (
  siteId: string,
  kind: Kind,
  transaction?: Transaction,
  attributes?: Array<keyof EditRow>,
): Promise<EditRow | null> =>
  firstOf(models().Edit, {
    where: { siteId, standing: kind === 'undo' ? 'live' : 'undone' },
    order: [['revision', kind === 'undo' ? 'DESC' : 'ASC']],
    transaction,
    ...(attributes ? { attributes } : {}),
  })

/** What there is to undo and to redo. */
export async function standing(
  siteId: string,
  transaction?: Transaction,
): Promise<{ undo?: Ahead; redo?: Ahead }> {
  const ahead = async (kind: Kind) => {
    const row = await targetOf(siteId, kind, transaction, ['revision', 'told', 'clientId'])
    if (!row) return {}
    const { revision, told, clientId } = row
    return { [kind]: { revision, told, ...(clientId ? { clientId } : {}) } }
  }
  return { ...(await ahead('undo')), ...(await ahead('redo')) }
}
