'use client'

import { useMemo, useState } from 'react'
import {
  fromReady,
  readySections,
  sectionGroups,
  type ReadySection,
  type SectionGroup,
} from '@/core/designs/sections'
import { proposeTheme } from '@/core/generate'
import { shownSections, type SectionId } from '@/core/site'
import { useEditor, useEditorState, type Editor } from '../editor'
import { Dialog, SearchField, Segments } from '../kit'
import { newId } from '../new-id'
import { editProblemWords } from '../words'
import { LiveSections } from './live-sections'
import { toast } from 'sonner'

/** Sections of ours, drawn in this very site: one is put between those of the page. */
export function SectionLibrary() {
  const editor = useEditor()
  const adding = useEditorState((state) => state.adding)
  return (
    <Dialog
      wide
      open={!!adding}
      onOpenChange={() => editor.show({ adding: undefined })}
      title="Add a section"
    >
      {adding && <Shelf before={adding.before} />}
    </Dialog>
  )
}

/** The theme that the rhythm of the page proposes for a section before another one, or last. */
function themeThere(editor: Editor, before: SectionId | undefined) {
  const { docs, pageId } = editor.store.getState()
  const page = docs.pages[pageId]
  if (!page) return docs.frame.themes.order[0]!
  const shown = shownSections(page.body)
  const found = shown.findIndex(({ id }) => id === before)
  const at = found < 0 ? shown.length : found
  const themes = shown.map(({ theme }) => theme)
  return proposeTheme(docs.frame, themes, at)
}

type Filter = SectionGroup | 'All'

const holds = (text: string, search: string) =>
  text.toLowerCase().includes(search.trim().toLowerCase())

function Shelf({ before }: { readonly before: SectionId | undefined }) {
  const editor = useEditor()
  const pictures = useEditorState((state) => state.docs.pictures)
  const [group, setGroup] = useState<Filter>('All')
  const [search, setSearch] = useState('')
  const theme = useMemo(() => themeThere(editor, before), [editor, before])
  const ids = useMemo(
    () =>
      Object.values(pictures)
        .filter(({ mediaType, width }) => mediaType !== 'image/svg+xml' && width > 300)
        .map(({ id }) => id),
    [pictures],
  )
  const shown = useMemo(
    () =>
      readySections.filter(
        (ready) =>
          (group === 'All' || ready.group === group) &&
          (holds(ready.name, search) || holds(ready.group, search)),
      ),
    [group, search],
  )
  const add = (ready: ReadySection) => {
    const { docs, pageId } = editor.store.getState()
    const page = docs.pages[pageId]
    if (!page) return
    const { section, elements } = fromReady(ready, theme, ids, newId)
    const problem = editor.dispatch({
      type: 'addSection',
      doc: pageId,
      section: { ...section, kind: 'band' },
      elements: [...elements],
      ...(before ? { before } : {}),
    })
    if (problem) return void toast.error(`Not added: ${editProblemWords[problem]}.`)
    editor.show({
      adding: undefined,
      selection: { doc: pageId, section: section.id, facet: 'fill' },
    })
  }
  return (
    <>
      <div className="flex flex-wrap items-center gap-3 pb-3">
        <div className="w-56">
          <SearchField label="Find a section" value={search} onChange={setSearch} />
        </div>
        <Segments<Filter>
          label="Kind of section"
          value={group}
          options={(['All', ...sectionGroups] as const).map((each) => [each, each])}
          onChange={setGroup}
        />
      </div>
      {shown.length === 0 ? (
        <p className="text-soft">
          No section is called that. Look under “All”, or begin with one that is near: all in it can
          be changed.
        </p>
      ) : (
        <LiveSections sections={shown} theme={theme} pictures={ids} onChoose={add} />
      )}
    </>
  )
}
