import { done, refused, type Result, type ShelfDeed } from '@/core/payloads'
import { shelvedSiteFor, siteFor, type Actor } from '../access'
import { database } from '../database/connection'
import type { SiteRow } from '../database/models'
import { saveEdits } from '../edits'

/** What a deed of the shelf leaves of a site’s place on it, or why it is refused. */
function placeAfter(site: SiteRow, deed: Exclude<ShelfDeed, { deed: 'rename' }>) {
  const now = new Date()
  switch (deed.deed) {
    case 'put-away':
      return done({ archivedAt: site.archivedAt ?? now })
    case 'put-back':
      return done({ archivedAt: null })
    case 'bring-back':
      return done({ removedAt: null })
    case 'remove':
      // Asked by name, so that it is this one that is meant.
      if (deed.name.trim() !== site.name) return refused({ code: 'other-name' })
      return done({ removedAt: site.removedAt ?? now })
  }
}

/**
 * Renames a site (as an edit, that can be undone on it), puts it away or back, or
 * removes it. What is removed is gone for everybody at once, and for good after
 * the grace; until then it can be brought back as it was.
 */
export async function carryOutDeed(
  actor: Actor,
  siteId: string,
  deed: ShelfDeed,
): Promise<Result<null>> {
  if (deed.deed === 'rename') {
    const { clientId, name } = deed
    const found = await siteFor(actor, 'edit', siteId)
    if (!found.ok) return found
    const edit = { type: 'renameSite', name } as const
    const saved = await saveEdits(actor, siteId, found.value.revision, [{ clientId, edit }])
    return saved.ok ? done(null) : saved
  }
  return database().transaction(async (transaction) => {
    const needs = deed.deed === 'remove' || deed.deed === 'bring-back' ? 'own' : 'edit'
    const found = await shelvedSiteFor(actor, needs, siteId, transaction)
    if (!found.ok) return found
    const place = placeAfter(found.value, deed)
    if (!place.ok) return place
    await found.value.update(place.value, { transaction })
    return done(null)
  })
}
