import { writeHex } from '@/core/color'
import { designNames } from '@/core/designs/names'
import { designs, designSite } from '@/core/designs/ready'
import { liveryOf, picturesOfStyles, readLivery, type Livery } from '@/core/livery'
import { done, refused, type LiveryEntry, type LiverySource, type Result } from '@/core/payloads'
import { slotColor } from '@/core/resolve'
import { isBound, isUnreadable, themesInOrder, type SlotId } from '@/core/site'
import { siteFor, type Actor } from '../access'
import { firstOf } from '../database/first-of'
import { models } from '../database/models'
import { loadFrame } from '../records'
import { sitesToCarryTo } from '../palettes'
import { picturesByIds } from '../sites'

/** Most colours that an entry shows. */
const MOST = 8

/** The colours that a livery is known by: grounds of its themes, then its other slots. */
function colorsOf({ palette, themes }: Livery): string[] {
  const grounds = themesInOrder(themes).flatMap(({ roles: { ground } }) =>
    isBound(ground) ? [ground.slot] : [],
  )
  const slots = [...new Set<SlotId>([...grounds, ...palette.order])]
  return slots
    .filter((id) => (palette.slots[id]?.value ?? null) !== null)
    .slice(0, MOST)
    .map((id) => writeHex(slotColor(palette, id)))
}

const shown = (livery: Livery) => ({
  colors: colorsOf(livery),
  faces: [livery.settings.headingFace, livery.settings.bodyFace] as const,
})

/** The same of one that was stored; one that cannot be read takes no other with it, and says so when it is taken. */
function shownIfRead(record: unknown): Partial<ReturnType<typeof shown>> {
  try {
    return shown(readLivery(record))
  } catch (error) {
    if (!isUnreadable(error)) throw error
    return {}
  }
}

const made = new Map<string, Livery>()

/** The livery of a ready-made design; undefined where there is none of that name. */
function liveryOfDesign(id: string): Livery | undefined {
  const design = designs.find((each) => each.id === id)
  if (!design) return undefined
  const known = made.get(id) ?? liveryOf(designSite(design, design.id).docs.frame, {})
  made.set(id, known)
  return known
}

const ofDesigns = (): LiveryEntry[] =>
  designNames.flatMap(({ id, name, trade, mood }) => {
    const livery = liveryOfDesign(id)
    return livery
      ? [{ from: 'design' as const, id, name, told: `for ${trade}, ${mood}`, ...shown(livery) }]
      : []
  })

/** All liveries that a site can take: those kept in its workspace, those of other sites, those of designs. */
export async function listLiveries(actor: Actor, siteId: string): Promise<Result<LiveryEntry[]>> {
  const found = await siteFor(actor, 'read', siteId)
  if (!found.ok) return found
  const { workspaceId } = found.value
  const rows = await models().Livery.findAll({
    where: { workspaceId },
    order: [['createdAt', 'DESC']],
  })
  const kept = rows.map(({ id, name, record, createdAt }) => ({
    from: 'kept' as const,
    id,
    name,
    told: createdAt.toISOString(),
    ...shownIfRead(record),
  }))
  const others = await sitesToCarryTo(actor, siteId)
  const sites = others.ok ? others.value.map((site) => ({ from: 'site' as const, ...site })) : []
  return done([...kept, ...sites, ...ofDesigns()])
}

/** One livery whole. */
export async function liveryFrom(
  actor: Actor,
  siteId: string,
  source: LiverySource,
  id: string,
): Promise<Result<Livery>> {
  const found = await siteFor(actor, 'read', siteId)
  if (!found.ok) return found
  if (source === 'site') {
    const other = await siteFor(actor, 'read', id)
    if (!other.ok) return other
    const frame = await loadFrame(id)
    const pictures = await picturesByIds(actor, id, picturesOfStyles(frame))
    return pictures.ok ? done(liveryOf(frame, pictures.value)) : pictures
  }
  const livery =
    source === 'design'
      ? liveryOfDesign(id)
      : await firstOf(models().Livery, {
          where: { id, workspaceId: found.value.workspaceId },
        }).then((row) => row && readLivery(row.record))
  return livery ? done(livery) : refused({ code: 'not-found' })
}
