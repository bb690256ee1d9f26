import type { DndContextProps } from '@dnd-kit/core'
import { kindOf } from '@/core/elements'
import { bodyOf, own, type DocId, type ElementId, type SectionId } from '@/core/site'
import type { Editor } from '../editor'

/** What is dragged, or what it is over, as people call it: ids are for the program alone. */
function wordsOf(editor: Editor, id: string | number): string {
  const { docs, pageId } = editor.store.getState()
  const [, form, rest = ''] = /^([a-z]+):(.*)$/.exec(String(id)) ?? []
  if (form === 'give') return `colour ${Number(rest) + 1}`
  if (form === 'take') return `row ${Number(rest) + 1}`
  if (form === 'element' || form === 'row') {
    const [doc, ...path] = rest.split('/')
    const element = own(bodyOf(docs, doc as DocId)?.elements ?? {}, path.at(-1) as ElementId)
    return element ? kindOf(element.kind).title(element.content) : 'something that is gone'
  }
  if (form === 'section' || form === 'band') {
    const [section] = rest.split(':') as [SectionId]
    const bodies = [docs.pages[pageId]?.body, docs.frame.body]
    const found = bodies.flatMap((body) => (body && own(body.sections, section)) ?? [])[0]
    return found?.name ?? 'a section that is gone'
  }
  if (form === 'pan' && rest === 'end') return 'the end of the palette'
  const slot = own(docs.frame.palette.slots, form === 'pan' ? rest : String(id))
  return slot?.name ?? 'a slot that is gone'
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
