import {
  own,
  paintIn,
  type Body,
  type Paint,
  type Placed,
  type Section,
  type SectionId,
  type ThemeId,
} from '../site'

/** A section as a small drawing of its page needs it. */
export interface BandEntry {
  readonly id: SectionId
  readonly kind: Section['kind']
  readonly name: string
  readonly theme: ThemeId
  /** A fill of its own. */
  readonly fill?: Paint
  /** A header or footer of a page's own that is not shown: nor is the site's then. */
  readonly hidden?: true
}

const filled = (fill: Paint | undefined) => (fill ? { fill } : {})

export const bandEntry = ({ id, kind, name, theme, looks, hidden }: Section): BandEntry => ({
  id,
  kind,
  name,
  theme,
  ...(hidden ? { hidden } : {}),
  ...filled(paintIn(looks, { key: 'fill' }, 'rest')),
})

/** What of a body is shown, top to bottom: its sections, and on a page the parts of the site that it places. */
export function bandsOf(body: Body): Array<Placed<BandEntry>> {
  return body.order.flatMap((id): Array<Placed<BandEntry>> => {
    const section = own(body.sections, id)
    if (!section) return [{ kind: 'part', id }]
    return section.hidden && section.kind === 'band' ? [] : [bandEntry(section)]
  })
}
