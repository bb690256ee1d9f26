import type { DndContextProps } from '@dnd-kit/core'
import { kindOf } from '@/core/elements'
import { bodyOf, own, slotName } from '@/core/site'
import type { Editor } from '../editor'
import { readDragId } from './drag-ids'

/** What is dragged, or what it is over, by its name: ids are for the program alone. */
function wordsOf(editor: Editor, id: string | number): string {
  const { docs, pageId } = editor.store.getState()
  const read = readDragId(id)
  switch (read.of) {
    case 'give':
      return `colour ${read.index + 1}`
    case 'take':
      return `row ${read.index + 1}`
    case 'element':
    case 'row': {
      const element = own(bodyOf(docs, read.doc)?.elements ?? {}, read.element)
      return element ? kindOf(element.kind).title(element.content) : 'an element that is gone'
    }
    case 'section':
    case 'band': {
      const bodies = [docs.pages[pageId]?.body, docs.frame.body]
      const [found] = bodies.flatMap((body) => (body && own(body.sections, read.section)) ?? [])
      return found?.name ?? 'the end of the page'
    }
    default:
      if (read.slot === 'end') return 'the end of the palette'
      return slotName(docs.frame.palette, read.slot)
  }
}

/** What people who hear the screen are told of a drag. */
export function dragWords(editor: Editor): NonNullable<DndContextProps['accessibility']> {
  const words = (id: string | number) => wordsOf(editor, id)
  return {
    announcements: {
      onDragStart: ({ active }) => `Picked up: ${words(active.id)}.`,
      onDragOver: ({ over }) => (over ? `Over ${words(over.id)}.` : 'Over nothing in a list.'),
      onDragEnd: ({ active, over }) =>
        over ? `${words(active.id)} dropped on ${words(over.id)}.` : `${words(active.id)} dropped.`,
      onDragCancel: ({ active }) => `${words(active.id)} stays where it was.`,
    },
    // All that can be dragged with a pointer has keys of its own, which the help lists.
    screenReaderInstructions: {
      draggable: 'Dragged with a pointer. The help lists the keys that do the same.',
    },
  }
}
