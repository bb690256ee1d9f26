import { textFault, type Asset } from '@/core/site'
import type { Actor } from './actor'
import { models } from './database/models'
import { siteFor } from './sites'
import { fileStore } from './storage'

export interface AssetFile {
  readonly details: Asset
  readonly data: Uint8Array
}

/** A picture of a site with its bytes; undefined when there is none, or not for this actor. */
export async function readAsset(
  actor: Actor,
  siteId: string,
  id: string,
): Promise<AssetFile | undefined> {
  const found = await siteFor(actor, 'read', siteId)
  if (!found.ok) return undefined
  if (textFault(id)) return undefined
  const row = await models().Asset.findOne({ where: { siteId, id } })
  const data = row && (await fileStore().get(row.storageKey))
  return row && data ? { details: row.details, data } : undefined
}
