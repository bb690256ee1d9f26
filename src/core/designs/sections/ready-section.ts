import type { Section, SiteElement, ThemeId } from '../../site'
import { copySection, type NewId } from '../copies'
import { body, type Draft, type SectionDraft } from '../write'

export const sectionGroups = [
  'Openings',
  'Words and pictures',
  'Offers',
  'Proof',
  'People',
  'Practical',
  'To do next',
] as const
export type SectionGroup = (typeof sectionGroups)[number]

/** A section of ours to put into a page. `pictures` gives one of the site's, by number, or none. */
export interface ReadySection extends Pick<SectionDraft, 'layout' | 'centered'> {
  readonly id: string
  readonly name: string
  readonly group: SectionGroup
  readonly draft: (picture: (n: number) => string) => readonly Draft[]
}

/** A ready section as it would stand in a site: in a theme of it, with ids of its own. */
export function fromReady(
  ready: ReadySection,
  theme: ThemeId,
  pictures: readonly string[],
  newId: NewId,
): { readonly section: Section; readonly elements: readonly SiteElement[] } {
  const { id, name, layout, centered, draft } = ready
  const picture = (n: number) => (pictures.length ? pictures[n % pictures.length]! : '')
  const laid = body('ready', [
    {
      id,
      name,
      theme,
      ...(layout ? { layout } : {}),
      ...(centered ? { centered } : {}),
      children: draft(picture),
    },
  ])
  return copySection(laid, Object.values(laid.sections)[0]!, newId)
}
