'use client'

import { contentAt, type ContentPath } from '@/core/edit'
import { kindOf, type Field } from '@/core/elements'
import type { DocId, SiteElement } from '@/core/site'
import { useEditor } from '../editor'
import { editProblemWords } from '../words'
import { FieldEditor } from './field-editor'

interface ContentPanelProps {
  readonly doc: DocId
  readonly element: SiteElement
}

/** What an element holds beside the words on the page: its entries, where it leads, how it is set. */
export function ContentPanel({ doc, element }: ContentPanelProps) {
  const editor = useEditor()
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
    <section aria-label="Content" className="grid gap-2.5 border-t border-edge pt-3">
      <h3 className="text-xs font-semibold text-soft">Content</h3>
      {fields.map((field: Field) => (
        <FieldEditor
          key={field.at}
          field={field}
          at={[field.at]}
          content={element.content}
          onWrite={write}
        />
      ))}
    </section>
  )
}
