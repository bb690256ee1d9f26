import type { Asset } from '@/core/site'
import { models } from './database/models'
import { fileStore } from './storage'

export interface AssetFile {
  readonly details: Asset
  readonly data: Uint8Array
}

/** A picture of a site with its bytes; undefined when there is none of that id. */
export async function readAsset(siteId: string, id: string): Promise<AssetFile | undefined> {
  const row = await models().Asset.findOne({ where: { siteId, id } })
  const data = row && (await fileStore().get(row.storageKey))
  return row && data ? { details: row.details, data } : undefined
}
