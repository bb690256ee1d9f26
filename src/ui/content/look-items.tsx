'use client'

import { toast } from 'sonner'
import { create } from 'zustand'
import { givenLooks, looksOfElement, type LookGroup } from '@/core/edit'
import { bodyOf, own, type Looks } from '@/core/site'
import { useEditor, type Editor, type Selection } from '../editor'
import { MenuItem, MenuLine } from '../kit'
import { editProblemWords } from '../words'

/** How an element looked when it was copied; one for the whole window, whatever is chosen. */
const useCopied = create<{ readonly looks?: Looks }>(() => ({}))

const GROUPS: ReadonlyArray<readonly [LookGroup, string]> = [
  ['all', 'Give it the copied looks'],
  ['paint', 'Only their colours'],
  ['shape', 'Only their shape'],
  ['type', 'Only their type'],
]

/** Everything that is chosen and is an element. */
function chosenIn(editor: Editor, selection: Selection) {
  const { docs, also = [] } = editor.store.getState()
  return [selection, ...also].flatMap(({ doc, element: id }) => {
    const element = id && own(bodyOf(docs, doc)?.elements ?? {}, id)
    return element ? [{ on: { doc, element: element.id }, element }] : []
  })
}

function copy(editor: Editor, selection: Selection): void {
  const [first] = chosenIn(editor, selection)
  if (!first) return
  const { docs } = editor.store.getState()
  useCopied.setState({ looks: looksOfElement(docs.frame, first.element) })
  toast('Its looks are copied: choose another element, or several, and give them.')
}

function give(editor: Editor, selection: Selection, looks: Looks, group: LookGroup): void {
  const settings = chosenIn(editor, selection).flatMap(({ on, element }) =>
    givenLooks(looks, on, element, group),
  )
  if (settings.length === 0) return void toast('Nothing of these looks fits here: nothing changed.')
  const problem = editor.dispatch({ type: 'setLooks', settings })
  if (problem) toast.error(`Not given: ${editProblemWords[problem]}.`)
}

/** Copies how an element looks, and gives it to others: all of it, or only its colours, shape or type. */
export function LookItems({ selection }: { readonly selection: Selection }) {
  const editor = useEditor()
  const looks = useCopied((state) => state.looks)
  return (
    <>
      <MenuItem onSelect={() => copy(editor, selection)}>Copy how it looks</MenuItem>
      {looks &&
        GROUPS.map(([group, label]) => (
          <MenuItem key={group} onSelect={() => give(editor, selection, looks, group)}>
            {label}
          </MenuItem>
        ))}
      <MenuLine />
    </>
  )
}
