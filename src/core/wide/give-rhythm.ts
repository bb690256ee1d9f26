import * as z from 'zod'
import type { Change } from '../changes'
import { proposeRhythms } from '../generate'
import { bandEntry, type BandEntry } from '../uses'
import {
  arranged,
  pageId,
  sectionsInOrder,
  type Frame,
  type Page,
  type PageId,
  type SectionId,
  type ThemeId,
} from '../site'
import { defineWide, many, nothing, ready, refuse, type PageBands } from './wide'

const giveRhythmIntent = z.strictObject({
  type: z.literal('giveRhythm'),
  /** The pages that get one; all where it is left out. */
  pages: z.array(pageId).min(1).max(10_000).optional(),
})

/** A band, and whether its theme is not for a rhythm to give. */
type GivenBand = BandEntry & { readonly isGiven?: boolean }

export type Rhythms = ReadonlyMap<PageId, ReadonlyMap<SectionId, ThemeId>>

/** A rhythm for each of the wanted pages, so that sections of one name look alike on all pages. */
export function rhythmsFor(
  frame: Frame,
  pages: readonly PageBands[],
  wanted?: readonly PageId[],
): Rhythms {
  const chosen = new Set(wanted ?? pages.map(({ page }) => page))
  const mine = pages.filter(({ page }) => chosen.has(page))
  const others = pages.filter(({ page }) => !chosen.has(page))
  const parts: GivenBand[] = sectionsInOrder(frame.body).map((part) => ({
    ...bandEntry(part),
    isGiven: true,
  }))
  // What belongs to the whole site is not moved by the rhythm of one page; what stands beside it heeds it.
  const bands = (list: readonly PageBands[]) =>
    list.map((each) => arranged<GivenBand>(parts, each.bands).filter(({ kind }) => kind === 'band'))
  const shown = bands(mine)
  const rhythms = proposeRhythms(frame, shown, bands(others))
  return new Map(
    mine.map(({ page }, i) => {
      const themes = shown[i]!.map(({ id }, j) => [id, rhythms[i]![j]!] as const)
      return [page, new Map(themes.filter((_, j) => !shown[i]![j]!.isGiven))]
    }),
  )
}

/** Gives the sections of many pages a rhythm of themes. */
export const giveRhythm = defineWide({
  type: 'giveRhythm',
  schema: giveRhythmIntent,
  asks: ['pages'],
  prepare({ pages: wanted }: z.infer<typeof giveRhythmIntent>, { frame, pages }) {
    const rhythms = rhythmsFor(frame, pages, wanted)
    if (rhythms.size === 0) return refuse('page-gone')
    return ready({ rhythms })
  },
  reach: ({ rhythms }) => ({ pages: [...rhythms.keys()] }),
  plan({ rhythms }, { kind, id, read }) {
    const page = kind === 'page' ? (read() as Page | undefined) : undefined
    if (!page) return nothing
    const { sections } = page.body
    let count = 0
    const changes = [...(rhythms.get(id as PageId) ?? [])].flatMap(([section, theme]): Change[] => {
      const found = sections[section]
      if (!found || (found.theme === theme && !found.blend)) return []
      count += 1
      const at = ['body', 'sections', section]
      const change = { path: [...at, 'theme'], from: found.theme, to: theme }
      return [
        ...(found.theme === theme ? [] : [change]),
        ...(found.blend ? [{ path: [...at, 'blend'], from: true }] : []),
      ]
    })
    return { changes, count }
  },
  describe: (_ready, count) => `Rhythm given to ${many(count, 'section')}`,
})
