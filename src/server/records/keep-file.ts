import { database } from '../database/connection'
import { fileStore } from '../storage'
import { keepTidyAway } from './tidy'

/**
 * Puts a file that an edit is about to refer to into the file store. Nothing is tidied away
 * meanwhile, and afterwards it counts as young, so whoever uploaded it has an hour to use it.
 */
export const keepFile = (hash: string, data: Uint8Array | string): Promise<void> =>
  database().transaction(async (transaction) => {
    await keepTidyAway(transaction)
    await fileStore().put(hash, data)
  })
