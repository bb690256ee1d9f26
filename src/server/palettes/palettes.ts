import { done, refused, type Result, type SiteName } from '@/core/payloads'
import { brandSheet } from '@/core/formats'
import { idFromName, slotsInOrder } from '@/core/site'
import { deedsOf, siteFor, type Actor } from '../access'
import { drawBrandSheet } from './brand-sheet-pdf'
import { models } from '../database/models'
import { changeSite, performEdits } from '../edits'
import { loadFrame } from '../records'

/**
 * Carries a site's palette to another site, where it is kept as a study: there
 * it is fitted to that site's slots before it changes anything. Returns the
 * study's id.
 */
export async function copyPalette(
  actor: Actor,
  fromId: string,
  toId: string,
): Promise<Result<{ readonly study: string }>> {
  if (fromId === toId) return refused({ code: 'own-site' })
  const [from, to] = [await siteFor(actor, 'read', fromId), await siteFor(actor, 'edit', toId)]
  if (!from.ok) return from
  if (!to.ok) return to
  const colors = slotsInOrder((await loadFrame(fromId)).palette).flatMap(
    ({ name, value, note, group, extensions }) =>
      value === null ? [] : [{ name, value, note, group, extensions }],
  )
  if (colors.length === 0) return refused({ code: 'nothing-to-copy' })
  return changeSite(actor, toId, 'any', async (site, transaction) => {
    const { studies } = await loadFrame(toId, transaction)
    const taken = studies.map(({ id }) => id)
    const name = from.value.name.slice(0, 60)
    const id = idFromName(name, taken, 'study')
    const edit = { type: 'keepStudy', study: { id, name, colors } } as const
    const performed = await performEdits(actor, site, [{ clientId: null, edit }], transaction)
    if (!performed.ok) return performed
    await site.save({ transaction })
    return done({ study: id })
  })
}

/** The sites that a palette can be carried to: all others that the actor may edit. */
export async function sitesToCarryTo(actor: Actor, fromId: string): Promise<Result<SiteName[]>> {
  const from = await siteFor(actor, 'read', fromId)
  if (!from.ok) return from
  const { Member, Site } = models()
  const workspaces = await Member.findAll({ where: { userId: actor.userId } })
  const rows = await Site.findAll({
    where: {
      workspaceId: workspaces.map(({ workspaceId }) => workspaceId),
      archivedAt: null,
      removedAt: null,
    },
    attributes: ['id', 'name', 'workspaceId'],
    order: ['position'],
  })
  const open = await Promise.all(
    rows.map(async (row) =>
      row.id !== fromId && (await deedsOf(actor, row)).includes('edit') ? [row] : [],
    ),
  )
  return done(open.flat().map(({ id, name }) => ({ id, name })))
}

/** The brand sheet of a site as PDF. */
export async function brandSheetPdf(actor: Actor, siteId: string): Promise<Result<Uint8Array>> {
  const found = await siteFor(actor, 'read', siteId)
  if (!found.ok) return found
  const { name, palette } = await loadFrame(siteId)
  return done(await drawBrandSheet(brandSheet(name, palette)))
}
