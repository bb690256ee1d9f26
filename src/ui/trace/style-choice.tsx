'use client'

import { useState } from 'react'
import { toast } from 'sonner'
import { basesOf, baseStyle, labelOf } from '@/core/elements'
import { bodyOf, idFromName, own, type SiteElement, type StyleId } from '@/core/site'
import { useEditor, useEditorState, type Selection } from '../editor'
import { Dialog, Menu, MenuChoice, MenuItem, MenuLine, TextField } from '../kit'
import { editProblemWords } from '../words'

interface StyleChoiceProps {
  readonly selection: Selection
  readonly element: SiteElement
}

const NOBODY: readonly Selection[] = []

/** The element style of what is chosen: another one of its kind, none, or a new one made from it. */
export function StyleChoice({ selection, element }: StyleChoiceProps) {
  const editor = useEditor()
  const docs = useEditorState((state) => state.docs)
  const { styles } = docs.frame
  const also = useEditorState((state) => state.also) ?? NOBODY
  const [naming, setNaming] = useState(false)
  const fitting = Object.values(styles)
    .filter(({ id, kind }) => kind === element.kind && !baseStyle(id))
    .sort((a, b) => (a.name < b.name ? -1 : 1))
  const given = element.style && own(styles, element.style)
  // A style is of one kind of element: of all that are chosen, those of the same kind take it.
  const all = [selection, ...also].flatMap(({ doc, element: id }) => {
    const found = id && own(bodyOf(docs, doc)?.elements ?? {}, id)
    return found && found.kind === element.kind ? [{ doc, element: found.id }] : []
  })
  const told = (problem: keyof typeof editProblemWords | undefined) => {
    if (problem) toast.error(`That cannot be done: ${editProblemWords[problem]}.`)
    return problem
  }
  const give = (style: StyleId | null) => {
    told(editor.dispatch({ type: 'giveStyle', style, to: all }))
  }
  const make = (name: string): string | undefined => {
    const taken = [...Object.keys(styles), ...basesOf(element.kind).map(({ id }) => id)]
    const id = idFromName(name, taken, 'style') as StyleId
    const problem = editor.dispatch({
      type: 'addStyle',
      style: {
        id,
        name,
        kind: element.kind,
        ...(given ? { parent: given.id } : {}),
        looks: element.looks ?? {},
      } as never,
      wear: all,
    })
    if (!problem) setNaming(false)
    return problem && `Not made: ${editProblemWords[problem]}.`
  }
  const plain = `As every ${labelOf(element.kind).toLowerCase()}`
  return (
    <>
      {', '}
      <Menu
        trigger={
          <button
            type="button"
            className="text-left underline decoration-edge-strong hover:text-ink"
          >
            {given ? `style ${given.name}` : 'no style of its own'}
          </button>
        }
      >
        <MenuChoice
          value={given ? given.id : NONE}
          options={[[NONE, plain], ...fitting.map(({ id, name }) => [id, name] as const)]}
          onChoose={(id) => give(id === NONE ? null : (id as StyleId))}
        />
        <MenuLine />
        <MenuItem onSelect={() => setNaming(true)}>A new style, made from this …</MenuItem>
      </Menu>
      <Dialog open={naming} onOpenChange={setNaming} title="A new element style">
        <TextField label="Name" value="" onCommit={make} />
      </Dialog>
    </>
  )
}

const NONE = '-'
