'use client'

import { Trash2 } from 'lucide-react'
import { useMemo, useState } from 'react'
import { toast } from 'sonner'
import {
  fromReady,
  readySections,
  sectionGroups,
  type ReadySection,
  type SectionGroup,
} from '@/core/designs/sections'
import { proposeTheme } from '@/core/generate'
import { partsOf, standingOn, type SectionId } from '@/core/site'
import { placePart } from '../content'
import { useEditor, useEditorState, usePartPlaces, type Editor } from '../editor'
import { Button, Dialog, SearchField, Segments } from '../kit'
import { newId } from '../new-id'
import { counted, editProblemWords } from '../words'
import { bandsToPlace, libraryPage, partsPage } from './library-page'
import { LiveSections } from './live-sections'

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
  const shown = standingOn(docs.frame, page)
    .map(({ section }) => section)
    .filter(({ kind, hidden }) => kind === 'band' && !hidden)
  const found = shown.findIndex(({ id }) => id === before)
  const at = found < 0 ? shown.length : found
  const themes = shown.map(({ theme }) => theme)
  return proposeTheme(docs.frame, themes, at)
}

const PARTS = 'Parts of this site'
type Filter = SectionGroup | 'All' | typeof PARTS

const holds = (text: string, search: string) =>
  text.toLowerCase().includes(search.trim().toLowerCase())

interface ShelfProps {
  readonly before: SectionId | undefined
}

function Shelf({ before }: ShelfProps) {
  const [group, setGroup] = useState<Filter>('All')
  const [search, setSearch] = useState('')
  const hasParts = useEditorState(({ docs }) => partsOf(docs.frame).length > 0)
  const filters = ['All', ...(hasParts ? [PARTS] : []), ...sectionGroups] as const
  return (
    <>
      <div className="flex flex-wrap items-center gap-3 pb-3">
        <div className="w-56">
          <SearchField label="Find a section" value={search} onChange={setSearch} />
        </div>
        <Segments<Filter>
          label="Kind of section"
          value={group}
          options={filters.map((each) => [each as Filter, each])}
          onChange={setGroup}
        />
      </div>
      {group === PARTS ? (
        <Parts before={before} search={search} />
      ) : (
        <Ready before={before} group={group} search={search} />
      )}
    </>
  )
}

interface ChoiceProps extends ShelfProps {
  readonly search: string
}

/** Sections of ours, in the theme that the rhythm proposes. */
function Ready({ before, group, search }: ChoiceProps & { readonly group: Filter }) {
  const editor = useEditor()
  const pictures = useEditorState((state) => state.docs.pictures)
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
  const page = useMemo(() => libraryPage(shown, theme, ids), [shown, theme, ids])
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
      selection: { doc: pageId, section: section.id, property: 'fill' },
    })
  }
  if (shown.length === 0) return <NoneFound />
  return (
    <LiveSections
      sections={shown}
      page={page}
      parts={noParts}
      onChoose={(index) => add(shown[index]!)}
    />
  )
}

const noParts = { order: [], sections: {}, elements: {} }

/** The parts of the site: one that is put here stays one with all its other places. */
function Parts({ before, search }: ChoiceProps) {
  const editor = useEditor()
  const frame = useEditorState((state) => state.docs.frame)
  const { value: places } = usePartPlaces()
  const parts = useMemo(() => bandsToPlace(frame), [frame])
  const shown = useMemo(
    () => partsOf(frame).filter(({ name }) => holds(name, search)),
    [frame, search],
  )
  const page = useMemo(() => partsPage(shown), [shown])
  const idle = shown.filter(({ id }) => places?.[id]?.pages === 0)
  const remove = (part: SectionId) => {
    const problem = editor.dispatch({ type: 'removePart', part })
    if (problem) toast.error(`Not removed: ${editProblemWords[problem]}.`)
  }
  if (shown.length === 0) return <NoneFound />
  return (
    <>
      {idle.length > 0 && (
        <p className="flex flex-wrap items-center gap-2 pb-3">
          On no page now, and can be removed:
          {idle.map(({ id, name }) => (
            <Button key={id} onClick={() => remove(id)}>
              <Trash2 size={14} /> {name}
            </Button>
          ))}
        </p>
      )}
      <LiveSections
        sections={shown.map(({ id, name }) => ({
          id,
          name,
          told: places ? onPages(places[id]?.pages ?? 0) : '',
        }))}
        page={page}
        parts={parts}
        onChoose={(index) => {
          if (placePart(editor, shown[index]!.id, before)) editor.show({ adding: undefined })
        }}
      />
    </>
  )
}

const onPages = (count: number) => (count === 0 ? 'on no page' : `on ${counted(count, 'page')}`)

const NoneFound = () => (
  <p className="text-soft">
    No section is called that. Look under “All”, or begin with one that is near: all in it can be
    changed.
  </p>
)
