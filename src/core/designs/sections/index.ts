import { next } from './next'
import { offers } from './offers'
import { openings } from './openings'
import { people } from './people'
import { practical } from './practical'
import { proof } from './proof'
import { wordsAndPictures } from './words-and-pictures'
import type { ReadySection } from './ready-section'

/** All sections of ours to put into a page. Another one is an entry in a file of its group. */
export const readySections: readonly ReadySection[] = [
  ...openings,
  ...wordsAndPictures,
  ...offers,
  ...proof,
  ...people,
  ...practical,
  ...next,
]

export { fromReady, sectionGroups, type ReadySection, type SectionGroup } from './ready-section'
