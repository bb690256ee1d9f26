import { randomBytes } from 'node:crypto'
import * as z from 'zod'
import { writeHex } from '@/core/color'
import { done, refused, type Result, type ShareEntry, type SharedPalette } from '@/core/payloads'
import { slotColor } from '@/core/resolve'
import { slotsInOrder, type Frame } from '@/core/site'
import { siteFor, type Actor } from '../access'
import { firstOf } from '../database/first-of'
import { models, type ShareRow } from '../database/models'
import { changeSite } from '../edits'
import { loadFrame } from '../records'

/** 192 bits: nobody comes upon a link by guessing. */
const newShareId = () => randomBytes(24).toString('base64url')

const stored = z.object({
  colors: z.array(z.object({ name: z.string(), value: z.string(), note: z.string().optional() })),
})

function snapshot({ palette }: Frame) {
  return {
    colors: slotsInOrder(palette).flatMap(({ id, name, value, note }) =>
      value === null
        ? []
        : [{ name, value: writeHex(slotColor(palette, id)), ...(note ? { note } : {}) }],
    ),
  }
}

const entryOf = ({ id, title, palette, createdAt }: ShareRow): ShareEntry => ({
  id,
  title,
  ...stored.parse(palette),
  at: createdAt.toISOString(),
})

/** Makes a link that shows the palette just as it is now to whoever has it. */
export async function sharePalette(
  actor: Actor,
  siteId: string,
  base: number,
): Promise<Result<ShareEntry>> {
  return changeSite(actor, siteId, base, async (site, transaction) => {
    const palette = snapshot(await loadFrame(siteId, transaction))
    const row = { id: newShareId(), siteId, title: site.name, palette, revokedAt: null }
    return done(entryOf(await models().Share.create(row, { transaction })))
  })
}

/** The links that are open, newest first. Who may edit the site may see and revoke them. */
export async function listShares(actor: Actor, siteId: string): Promise<Result<ShareEntry[]>> {
  const found = await siteFor(actor, 'edit', siteId)
  if (!found.ok) return found
  const rows = await models().Share.findAll({
    where: { siteId, revokedAt: null },
    order: [['createdAt', 'DESC']],
  })
  return done(rows.map(entryOf))
}

export async function revokeShare(actor: Actor, siteId: string, id: string): Promise<Result<null>> {
  const found = await siteFor(actor, 'edit', siteId)
  if (!found.ok) return found
  const [count] = await models().Share.update(
    { revokedAt: new Date() },
    { where: { id, siteId, revokedAt: null } },
  )
  return count ? done(null) : refused({ code: 'not-found' })
}

/** What a link shows, to anyone; a link that is revoked and one that never was look the same. */
export async function readShare(id: string): Promise<Result<SharedPalette>> {
  if (!/^[\w-]{32}$/.test(id)) return refused({ code: 'not-found' })
  const row = await firstOf(models().Share, { where: { id, revokedAt: null } })
  return row
    ? done({ title: row.title, ...stored.parse(row.palette) })
    : refused({ code: 'not-found' })
}
