'use client'

import { Layers2 } from 'lucide-react'
import type { Section } from '@/core/site'
import { useEditor, usePartPlaces, type Selection } from '../editor'
import { Button } from '../kit'
import { counted } from '../words'
import { remove } from './deeds'
import { loosenPart } from './part-deeds'

interface PartNoteProps {
  readonly selection: Selection
  readonly section: Section
}

/** Says how far a change of a part reaches, before it is made; and the way to a section of the page's own. */
export function PartNote({ selection, section }: PartNoteProps) {
  const editor = useEditor()
  const isPart = selection.doc === 'frame'
  const { value, failure } = usePartPlaces(isPart)
  if (!isPart && section.kind === 'band') return null
  const places = value?.[section.id]
  return (
    <div
      className="grid gap-1.5 rounded border border-edge bg-raised px-2.5 py-2"
      data-testid="part"
    >
      {isPart ? (
        <>
          <p className="flex gap-1.5">
            <Layers2 size={15} aria-hidden className="mt-0.5 shrink-0" />
            <span role="status">
              {failure ?? (places ? reachTold(section, places) : 'Counting its pages …')}
            </span>
          </p>
          <Button className="justify-self-start" onClick={() => loosenPart(editor, selection)}>
            Make it this page’s own
          </Button>
        </>
      ) : (
        <>
          <p>This page has a {section.kind} of its own, in place of the site’s.</p>
          <Button className="justify-self-start" onClick={() => remove(editor, selection)}>
            Take the site’s again
          </Button>
        </>
      )}
    </div>
  )
}

function reachTold(
  { kind }: Section,
  { pages, titles }: { readonly pages: number; readonly titles: readonly string[] },
): string {
  const what = kind === 'band' ? 'Part' : kind === 'header' ? 'Header' : 'Footer'
  if (pages === 0) return `${what} of the site, on no page now.`
  const rest = pages - titles.length
  const named = [...titles, ...(rest > 0 && titles.length > 0 ? [`${rest} more`] : [])].join(', ')
  const where = counted(pages, 'page')
  const told = named ? `${where} (${named})` : where
  return pages === 1
    ? `${what} of the site, on ${told}.`
    : `${what} of the site, on ${told}. What you change in it changes on all of them.`
}
