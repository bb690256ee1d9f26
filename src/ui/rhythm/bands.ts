import type { PageEntry } from '@/core/payloads'
import {
  isColor,
  sectionsInOrder,
  type DocId,
  type Frame,
  type SectionId,
  type ThemeId,
} from '@/core/site'
import { decisionHex, themeLook, type SectionRef } from '../editor'

/** A section as the overview draws it. */
export interface Band extends SectionRef {
  readonly name: string
  readonly theme: ThemeId
  readonly ground: string
  readonly text: string
  readonly chip: string
  readonly themeName: string
}

function bandOf(
  frame: Frame,
  doc: DocId,
  { id, name, theme, fill }: PageEntry['summary']['bands'][number],
): Band {
  const look = themeLook(frame, theme)
  return {
    doc,
    section: id as SectionId,
    name,
    theme: theme as ThemeId,
    ground: fill && isColor(fill) ? decisionHex(frame.palette, fill) : look.ground,
    text: look.text,
    chip: look.chip,
    themeName: look.name,
  }
}

/** The bands of a page, from its summary: the page itself need not be loaded. */
export function bandsOf(frame: Frame, page: PageEntry): Band[] {
  return page.summary.bands.map((band) => bandOf(frame, page.id, band))
}

/** Header and footer, which all pages share. */
export function sharedBands(frame: Frame, kind: 'header' | 'footer'): Band[] {
  return sectionsInOrder(frame.body)
    .filter((section) => section.kind === kind)
    .map(({ id, name, theme, colors, blend }) => {
      const band = bandOf(frame, 'frame', { id, name, theme, fill: colors?.fill?.rest })
      return blend ? { ...band, themeName: 'blends' } : band
    })
}
