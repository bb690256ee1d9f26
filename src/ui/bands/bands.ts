import type { PageBandsEntry } from '@/core/payloads'
import {
  shownSections,
  type DocId,
  type Frame,
  type Paint,
  type SectionId,
  type ThemeId,
} from '@/core/site'
import { paintBackground, themeLook } from '../look'
import type { SectionRef } from './section-ref'

/** A section as a small drawing of the page shows it. */
export interface Band extends SectionRef {
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

interface Source {
  readonly id: string
  readonly name: string
  readonly theme: string
  readonly fill?: Paint
}

function bandOf(siteId: string, frame: Frame, doc: DocId, { id, name, theme, fill }: Source): Band {
  const look = themeLook(frame, theme)
  const own = fill && paintBackground(siteId, frame.palette, fill)
  return {
    doc,
    section: id as SectionId,
    name,
    theme: theme as ThemeId,
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
function inTheme(band: Band, frame: Frame, theme: ThemeId): Band {
  const { name, ground, text, chip } = themeLook(frame, theme)
  const background = band.fill ?? ground
  return { ...band, theme, themeName: name, ground, background, text, chip }
}

/** The sections of a page with the themes that are proposed for some; a header that blends follows the one under it. */
export function withThemes(
  bands: readonly Band[],
  frame: Frame,
  themeOf: (band: Band) => ThemeId | undefined,
): Band[] {
  const themed = bands.map((band) => {
    const theme = themeOf(band)
    return theme && !band.blends ? inTheme(band, frame, theme) : band
  })
  const under = themed.find(({ doc }) => doc !== 'frame')
  return themed.map((band) => (band.blends && under ? blended(band, under) : band))
}

/** A header as it looks on the section under it. */
function blended({ doc, section, name }: Band, under: Band): Band {
  return { ...under, doc, section, name, blends: true }
}

/**
 * Header, bands and footer of a page in small: the page itself need not
 * be loaded. A header that blends looks like the band under it.
 */
export function bandsOnPage(siteId: string, frame: Frame, page: PageBandsEntry): Band[] {
  const own = page.bands.map((band) => bandOf(siteId, frame, page.id, band))
  const [under] = own
  const shared = (isFooter: boolean) =>
    shownSections(frame.body)
      .filter(({ kind }) => (kind === 'footer') === isFooter)
      .map(({ id, name, theme, colors, blend }) => {
        const band = bandOf(siteId, frame, 'frame', { id, name, theme, fill: colors?.fill?.rest })
        return blend && under ? blended(band, under) : band
      })
  return [...shared(false), ...own, ...shared(true)]
}
