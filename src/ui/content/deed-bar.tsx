'use client'

import { ArrowDown, ArrowUp, Copy, Ellipsis, PenLine, Trash2 } from 'lucide-react'
import { useState } from 'react'
import { kindIds, kindOf, type KindId } from '@/core/elements'
import { bodyOf, type PageId } from '@/core/site'
import { useEditor, useEditorState, type Selection } from '../editor'
import { Dialog, IconButton, Menu, MenuItem, MenuLine, TextField } from '../kit'
import { firstWords, stageStore } from '../stage'
import { editProblemWords } from '../words'
import { LinkTarget } from '../writing'
import {
  addElement,
  canStep,
  copyToPage,
  duplicate,
  hide,
  moveStep,
  putInto,
  remove,
} from './deeds'
import { LookItems } from './look-items'
import { keepPart, loosenPart } from './part-deeds'

type Asked = 'rename' | 'copy' | undefined

/** What can be done with what is chosen: written, moved, put once more, taken away. */
export function DeedBar({ selection }: { readonly selection: Selection }) {
  const editor = useEditor()
  const docs = useEditorState((state) => state.docs)
  const pageId = useEditorState((state) => state.pageId)
  const [asked, setAsked] = useState<Asked>()
  const { doc, section, element } = selection
  const found = bodyOf(docs, doc)?.sections[section]
  const isPlaced = docs.pages[pageId]?.body.order.includes(section)
  const isShared = !isPlaced && !element
  const write = () => {
    const { stage } = stageStore.getState()
    const words = stage && firstWords(stage.document, selection)
    if (words) editor.show({ words })
  }
  if (!found) return null
  return (
    <div role="toolbar" aria-label="What is chosen" className="-mx-1.5 flex items-center">
      <IconButton label="Write (Enter)" disabled={!element} onClick={write}>
        <PenLine size={15} />
      </IconButton>
      <IconButton
        label="Move up (Alt ↑)"
        disabled={!canStep({ docs, pageId }, selection, -1)}
        onClick={() => moveStep(editor, selection, -1)}
      >
        <ArrowUp size={15} />
      </IconButton>
      <IconButton
        label="Move down (Alt ↓)"
        disabled={!canStep({ docs, pageId }, selection, 1)}
        onClick={() => moveStep(editor, selection, 1)}
      >
        <ArrowDown size={15} />
      </IconButton>
      <IconButton
        label="Once more (Ctrl D)"
        disabled={isShared}
        onClick={() => duplicate(editor, selection)}
      >
        <Copy size={15} />
      </IconButton>
      <IconButton
        label="Take away (Delete)"
        disabled={isShared}
        onClick={() => remove(editor, selection)}
      >
        <Trash2 size={15} />
      </IconButton>
      <Menu
        align="end"
        trigger={
          <IconButton label="More to do" className="ml-auto">
            <Ellipsis size={15} />
          </IconButton>
        }
      >
        {element ? (
          <>
            <MenuItem onSelect={() => putInto(editor, selection, 'card')}>
              Put it into a card
            </MenuItem>
            <MenuItem onSelect={() => putInto(editor, selection, 'group')}>
              Put it into a row
            </MenuItem>
            <MenuLine />
            <LookItems selection={selection} />
          </>
        ) : (
          <>
            <MenuItem onSelect={() => setAsked('rename')}>Rename …</MenuItem>
            <MenuItem onSelect={() => hide(editor, selection, !found.hidden)}>
              {found.hidden ? 'Show it again' : 'Hide it'}
            </MenuItem>
            <MenuItem disabled={isShared} onSelect={() => setAsked('copy')}>
              {doc === 'frame' ? 'Put on another page …' : 'Copy to another page …'}
            </MenuItem>
            {doc !== 'frame' && found.kind === 'band' && (
              <MenuItem onSelect={() => keepPart(editor, selection)}>
                Keep as a part, for other pages
              </MenuItem>
            )}
            {doc === 'frame' && (
              <MenuItem onSelect={() => loosenPart(editor, selection)}>
                Make it this page’s own
              </MenuItem>
            )}
            <MenuLine />
          </>
        )}
        <AddItems selection={selection} />
      </Menu>
      <Dialog
        open={asked === 'rename'}
        onOpenChange={() => setAsked(undefined)}
        title="Name of the section"
      >
        <TextField
          label="Name"
          value={found.name}
          onCommit={(name) => {
            const problem = editor.dispatch({ type: 'setSection', doc, section, name })
            if (!problem) setAsked(undefined)
            return problem && `Not kept: ${editProblemWords[problem]}.`
          }}
        />
      </Dialog>
      <Dialog
        open={asked === 'copy'}
        onOpenChange={() => setAsked(undefined)}
        title={doc === 'frame' ? `Put ${found.name} on a page` : `Copy ${found.name} to a page`}
      >
        <LinkTarget
          pagesOnly
          href={undefined}
          onChoose={(href) => {
            setAsked(undefined)
            const page = href?.replace(/^page:/, '')
            if (page) void copyToPage(editor, selection, page as PageId)
          }}
        />
      </Dialog>
    </div>
  )
}

/** Kinds that can be added where one is, in the order of the table. */
const addable = kindIds.filter((kind) => kindOf(kind).fresh !== undefined)

function AddItems({ selection }: { readonly selection: Selection }) {
  const editor = useEditor()
  return (
    <div role="group" aria-label="Add an element" className="max-h-64 overflow-y-auto">
      {addable.map((kind: KindId) => (
        <MenuItem key={kind} onSelect={() => addElement(editor, selection, kind)}>
          Add: {kindOf(kind).label.toLowerCase()}
        </MenuItem>
      ))}
    </div>
  )
}
