import { randomUUID } from 'node:crypto'
import { UniqueConstraintError } from 'sequelize'
import type { Livery } from '@/core/livery'
import { done, refused, type LiveryDeed, type Result } from '@/core/payloads'
import { siteFor, type Actor } from '../access'
import { models } from '../database/models'

/** Most liveries that a workspace keeps. */
export const mostLiveries = 100

/** Runs what writes a name; one that is another livery's is told. */
async function named<T>(work: () => Promise<T>): Promise<Result<T>> {
  try {
    return done(await work())
  } catch (error) {
    if (error instanceof UniqueConstraintError) return refused({ code: 'livery-named' })
    throw error
  }
}

/** Keeps how a site looks under a name, for all sites of its workspace; its id. */
export async function keepLivery(
  actor: Actor,
  siteId: string,
  { name, livery }: { readonly name: string; readonly livery: Livery },
): Promise<Result<{ readonly id: string }>> {
  const found = await siteFor(actor, 'edit', siteId)
  if (!found.ok) return found
  const { workspaceId } = found.value
  const { Livery: Kept } = models()
  if ((await Kept.count({ where: { workspaceId } })) >= mostLiveries) {
    return refused({ code: 'liveries-full' })
  }
  const id = randomUUID()
  const kept = await named(() => Kept.create({ id, workspaceId, name, record: livery }))
  return kept.ok ? done({ id }) : kept
}

/** Renames or removes a livery that is kept. */
export async function changeLivery(
  actor: Actor,
  siteId: string,
  id: string,
  deed: LiveryDeed,
): Promise<Result<null>> {
  const found = await siteFor(actor, 'edit', siteId)
  if (!found.ok) return found
  const where = { id, workspaceId: found.value.workspaceId }
  const { Livery: Kept } = models()
  const changed = await named(async () =>
    deed.deed === 'remove'
      ? Kept.destroy({ where })
      : (await Kept.update({ name: deed.name }, { where }))[0],
  )
  if (!changed.ok) return changed
  return changed.value ? done(null) : refused({ code: 'not-found' })
}
