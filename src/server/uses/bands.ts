import type { Transaction } from 'sequelize'
import {
  done,
  type NamedSections,
  type ProposedRhythms,
  type Result,
  type ThemeUses,
} from '@/core/payloads'
import {
  textFault,
  type DocId,
  type PageId,
  type Paint,
  type Placed,
  type SectionId,
  type ThemeId,
} from '@/core/site'
import type { BandEntry } from '@/core/uses'
import { rhythmsFor, type PageBands } from '@/core/wide'
import { siteFor, type Actor } from '../access'
import { atOneMoment } from '../database/connection'
import { select } from '../database/sets'
import { loadFrame } from '../records'

export interface BandRow {
  readonly section: SectionId
  /** Of a section, or `part`: then it is the site's, and says nothing more here. */
  readonly kind: Placed<BandEntry>['kind']
  readonly name: string
  readonly theme: ThemeId
  readonly fill: string | null
  readonly hidden: boolean
}

export function bandOfRow(row: BandRow): Placed<BandEntry> {
  const { section: id, kind, name, theme, fill, hidden } = row
  if (kind === 'part') return { kind, id }
  return {
    id,
    kind,
    name,
    theme,
    ...(fill ? { fill: JSON.parse(fill) as Paint } : {}),
    ...(hidden ? { hidden } : {}),
  }
}

/** The sections of every page, in order: for what is planned over all of them. */
export async function allBands(siteId: string, transaction?: Transaction): Promise<PageBands[]> {
  const rows = await select<Omit<BandRow, 'section'> & { id: PageId; section: SectionId | null }>(
    `select r.id, b.section, b.kind, b.name, b.theme, b.fill, b.hidden
     from records r left join bands b on b.record = r.no
     where r.site_id = $1 and r.kind = 'page' order by r.position, r.id, b.n`,
    [siteId],
    transaction,
  )
  const pages: Array<{ readonly page: PageId; readonly bands: Array<Placed<BandEntry>> }> = []
  for (const { id: page, section, ...row } of rows) {
    if (pages.at(-1)?.page !== page) pages.push({ page, bands: [] })
    if (section !== null) pages.at(-1)!.bands.push(bandOfRow({ ...row, section }))
  }
  return pages
}

/** How many sections of the whole site have each theme. */
export async function themeUses(actor: Actor, siteId: string): Promise<Result<ThemeUses>> {
  const found = await siteFor(actor, 'read', siteId)
  if (!found.ok) return found
  const rows = await select<{ theme: string; sections: number; pages: number }>(
    `select b.theme, count(*)::int as sections,
       count(distinct b.record) filter (where r.kind = 'page')::int as pages
     from bands b join records r on r.no = b.record where b.site_id = $1 and b.kind <> 'part' group by b.theme`,
    [siteId],
  )
  return done(Object.fromEntries(rows.map(({ theme, ...uses }) => [theme, uses])))
}

/** The rhythm that is proposed for some pages (all where none are named), of those that are shown. */
export function proposedRhythms(
  actor: Actor,
  siteId: string,
  shown: readonly PageId[],
  wanted?: readonly PageId[],
): Promise<Result<ProposedRhythms>> {
  return atOneMoment(async (transaction) => {
    const found = await siteFor(actor, 'read', siteId, transaction)
    if (!found.ok) return found
    const frame = await loadFrame(siteId, transaction)
    const rhythms = rhythmsFor(frame, await allBands(siteId, transaction), wanted)
    const pages = shown.flatMap((page) => {
      const themes = rhythms.get(page)
      return themes ? [{ page, themes: [...themes] }] : []
    })
    const sections = [...rhythms.values()].reduce((all, themes) => all + themes.size, 0)
    return done({ sections, pages })
  })
}

/** Every section of a name, over all pages, header and footer. */
export async function namedSections(
  actor: Actor,
  siteId: string,
  name: string,
): Promise<Result<NamedSections>> {
  const found = await siteFor(actor, 'read', siteId)
  if (!found.ok) return found
  if (textFault(name)) return done([])
  const rows = await select<{ doc: DocId; section: SectionId }>(
    `select r.id as doc, b.section from bands b join records r on r.no = b.record
     where b.site_id = $1 and b.name = $2 order by r.kind, r.position, r.id, b.n`,
    [siteId, name],
  )
  return done(rows)
}
