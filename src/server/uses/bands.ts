import type { Transaction } from 'sequelize'
import type { PageId, Paint, SectionId, ThemeId } from '@/core/site'
import type { BandEntry } from '@/core/uses'
import type { PageBands } from '@/core/wide'
import { select } from '../database/sets'

export interface BandRow {
  readonly section: SectionId
  readonly name: string
  readonly theme: ThemeId
  readonly fill: string | null
}

export const bandOfRow = ({ section: id, name, theme, fill }: BandRow): BandEntry => ({
  id,
  name,
  theme,
  ...(fill ? { fill: JSON.parse(fill) as Paint } : {}),
})

/** The sections of every page, in order: for what is planned over all of them. */
export async function allBands(siteId: string, transaction?: Transaction): Promise<PageBands[]> {
  const rows = await select<Omit<BandRow, 'section'> & { id: PageId; section: SectionId | null }>(
    `select r.id, b.section, b.name, b.theme, b.fill
     from records r left join bands b on b.record = r.no
     where r.site_id = $1 and r.kind = 'page' order by r.position, r.id, b.n`,
    [siteId],
    transaction,
  )
  const pages: Array<{ readonly page: PageId; readonly bands: BandEntry[] }> = []
  for (const { id: page, section, ...row } of rows) {
    if (pages.at(-1)?.page !== page) pages.push({ page, bands: [] })
    if (section !== null) pages.at(-1)!.bands.push(bandOfRow({ ...row, section }))
  }
  return pages
}

/** How many sections of the whole site have each theme. */
export async function themeUses(siteId: string): Promise<Record<string, number>> {
  const rows = await select<{ theme: string; count: number }>(
    'select theme, count(*)::int as count from bands where site_id = $1 group by theme',
    [siteId],
  )
  return Object.fromEntries(rows.map(({ theme, count }) => [theme, count]))
}
