'use client'

import { contentAt, type ContentPath } from '@/core/edit'
import { kindOf } from '@/core/elements'
import type { DocId, SiteElement } from '@/core/site'
import { create } from 'zustand'
import { useEditor } from '../editor'
import { Fold, Folds } from '../kit'
import { editProblemWords } from '../words'
import { FieldEditor } from './field-editor'

/** Whether it is open: whoever sets entries sets those of the next element as well. */
const useOpen = create<{ readonly open: readonly string[] }>(() => ({ open: [] }))

interface ContentPanelProps {
  readonly doc: DocId
  readonly element: SiteElement
}

/** What an element holds beside the words on the page: its entries, where it leads, how it is set. */
export function ContentPanel({ doc, element }: ContentPanelProps) {
  const editor = useEditor()
  const open = useOpen((state) => state.open)
  const { fields = [] } = kindOf(element.kind)
  if (fields.length === 0) return null
  /** Writes one part of the content; returns why it could not, in words. */
  const write = (at: ContentPath, to: unknown): string | undefined => {
    const was = contentAt(element.content, at)
    const problem = editor.dispatch({
      type: 'setContent',
      doc,
      element: element.id,
      at: [...at],
      ...(was === undefined ? {} : { was }),
      ...(to === undefined ? {} : { to }),
    })
    return problem && `Not kept: ${editProblemWords[problem]}.`
  }
  return (
    <Folds
      open={open}
      onOpen={(next) => useOpen.setState({ open: next })}
      className="border-b border-edge"
    >
      <Fold value="content" title={fields.map(({ label }) => label).join(', ')}>
        <div className="grid gap-2.5 pt-1 pb-1">
          {fields.map((field) => (
            <FieldEditor
              key={field.at}
              field={field}
              at={[field.at]}
              content={element.content}
              onWrite={write}
            />
          ))}
        </div>
      </Fold>
    </Folds>
  )
}
