import type { PageBandsEntry } from '@/core/payloads'
import {
  arranged,
  sectionsInOrder,
  type DocId,
  type Frame,
  type Section,
  type ThemeId,
} from '@/core/site'
import { bandEntry, type BandEntry } from '@/core/uses'
import { paintBackground, themeLook } from '../look'
import type { SectionRef } from './section-ref'

/** A section as a small drawing of the page shows it. */
export interface Band extends SectionRef {
  readonly kind: Section['kind']
  readonly name: string
  readonly theme: ThemeId
  /** The name of its theme, and whether it took it from the section under it. */
  readonly themeName: string
  readonly blends: boolean
  /** CSS: a fill of its own, the ground of its theme, the one of both that shows, its heading, its main button. */
  readonly fill?: string
  readonly ground: string
  readonly background: string
  readonly text: string
  readonly chip: string
}

function bandOf(
  siteId: string,
  frame: Frame,
  doc: DocId,
  { id, kind, name, theme, fill }: BandEntry,
): Band {
  const look = themeLook(siteId, frame, theme)
  const own = fill && paintBackground(siteId, frame.palette, fill)
  return {
    doc,
    section: id,
    kind,
    name,
    theme,
    themeName: look.name,
    blends: false,
    fill: own,
    ground: look.ground,
    background: own ?? look.ground,
    text: look.text,
    chip: look.chip,
  }
}

/** A section as it would look in another theme; a fill of its own stays. */
function inTheme(siteId: string, band: Band, frame: Frame, theme: ThemeId): Band {
  const { name, ground, text, chip } = themeLook(siteId, frame, theme)
  const background = band.fill ?? ground
  return { ...band, theme, themeName: name, ground, background, text, chip }
}

/** The sections of a page with the themes that are proposed for some; a header that blends follows the one under it. */
export function withThemes(
  siteId: string,
  bands: readonly Band[],
  frame: Frame,
  themeOf: (band: Band) => ThemeId | undefined,
): Band[] {
  const themed = bands.map((band) => {
    const theme = themeOf(band)
    return theme && !band.blends ? inTheme(siteId, band, frame, theme) : band
  })
  const under = themed.find(({ kind }) => kind === 'band')
  return themed.map((band) => (band.blends && under ? blended(band, under) : band))
}

/** A header as it looks on the section under it. */
function blended({ doc, section, kind, name }: Band, under: Band): Band {
  return { ...under, doc, section, kind, name, blends: true }
}

/**
 * Header, bands and footer of a page in small: the page itself need not
 * be loaded. A header that blends looks like the band under it.
 */
export function bandsOnPage(siteId: string, frame: Frame, page: PageBandsEntry): Band[] {
  const parts = sectionsInOrder(frame.body).map((section) => ({
    ...bandEntry(section),
    doc: 'frame' as DocId,
    isBlending: !!section.blend,
  }))
  const placed = page.bands.map((band) =>
    band.kind === 'part' ? band : { ...band, doc: page.id, isBlending: false },
  )
  const shown = arranged(parts, placed).filter(({ hidden }) => !hidden)
  const bands = shown.map((entry) => bandOf(siteId, frame, entry.doc, entry))
  const under = bands[shown.findIndex(({ kind }) => kind === 'band')]
  return bands.map((band, i) => (shown[i]!.isBlending && under ? blended(band, under) : band))
}
