import type { DocId, ElementId, SectionId, SlotId } from '@/core/site'

/** What can be dragged, and where it can be dropped, as the id of each says. */
export type DragId =
  /** A colour of what is tried, or the row of a slot that takes one; by number. */
  | { readonly of: 'give' | 'take'; readonly index: number }
  /** A section, or the place before it; `end` is that of all. */
  | { readonly of: 'section' | 'band'; readonly section: SectionId }
  | { readonly of: 'element'; readonly doc: DocId; readonly element: ElementId }
  /** An element in the outline, as the place for another one. */
  | {
      readonly of: 'row'
      readonly doc: DocId
      readonly section: SectionId
      readonly element: ElementId
    }
  /** A slot in the tray, or the place before it. */
  | { readonly of: 'slot' | 'pan'; readonly slot: SlotId | 'end' }

/** Reads the id of something that is dragged or dropped on: `give:3`, `section:ID`, `row:DOC/SECTION/ELEMENT`; a slot has its own. */
export function readDragId(id: string | number): DragId {
  const [, form, rest = ''] = /^([a-z]+):(.*)$/.exec(String(id)) ?? []
  switch (form) {
    case 'give':
    case 'take':
      return { of: form, index: Number(rest) }
    case 'section':
    case 'band':
      return { of: form, section: rest.split(':')[0] as SectionId }
    case 'element': {
      const [doc, element] = rest.split('/')
      return { of: form, doc: doc as DocId, element: element as ElementId }
    }
    case 'row': {
      const [doc, section, element] = rest.split('/')
      return {
        of: form,
        doc: doc as DocId,
        section: section as SectionId,
        element: element as ElementId,
      }
    }
    case 'pan':
      return { of: form, slot: rest as SlotId | 'end' }
    default:
      return { of: 'slot', slot: String(id) as SlotId }
  }
}
