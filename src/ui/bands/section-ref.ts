import type { DocId, SectionId } from '@/core/site'

/** A section somewhere on the site; pages need not be loaded to name one. */
export interface SectionRef {
  readonly doc: DocId
  readonly section: SectionId
}

export const sectionKey = ({ doc, section }: SectionRef): string => `${doc}/${section}`
