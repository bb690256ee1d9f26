import { shownSections, type Body, type Paint, type SectionId, type ThemeId } from '../site'

/** A section as a small drawing of its page needs it. */
export interface BandEntry {
  readonly id: SectionId
  readonly name: string
  readonly theme: ThemeId
  /** A fill of its own. */
  readonly fill?: Paint
}

/** The sections of a body that are shown, top to bottom. */
export function bandsOf(body: Body): BandEntry[] {
  return shownSections(body).map(({ id, name, theme, colors }) => ({
    id,
    name,
    theme,
    ...(colors?.fill?.rest ? { fill: colors.fill.rest } : {}),
  }))
}
