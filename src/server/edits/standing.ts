import type { Transaction } from 'sequelize'
import { models } from '../database/models'

/** Whether there is something to undo and to redo. */
export async function standing(
  siteId: string,
  transaction?: Transaction,
): Promise<{ canUndo: boolean; canRedo: boolean }> {
  const any = async (state: 'live' | 'undone') => {
    const where = { siteId, standing: state }
    const found = await models().Edit.findOne({ where, attributes: ['revision'], transaction })
    return found !== null
  }
  return { canUndo: await any('live'), canRedo: await any('undone') }
}
