'use client'

import { useDraggable, useDroppable } from '@dnd-kit/core'
import { ChevronRight, Plus, Search } from 'lucide-react'
import { memo, useMemo, useState, type KeyboardEvent } from 'react'
import { bandsOnPage, type Band } from '../bands'
import { useEditor, useEditorState, usePage, useShownDocsBehind, useShownPage } from '../editor'
import { IconButton, SearchField, useRoving } from '../kit'
import { BandButton } from './band-button'
import { outlineOf, rowKey, seenRows, type OutlineRow } from './outline-rows'

/** The page from top to bottom: its sections in their own colours, and what stands in those that are opened. */
interface OutlineProps {
  /** Carries out what a key asks for with what is chosen; false where it asks for nothing. */
  readonly onDeed: (event: KeyboardEvent) => boolean
}

export function Outline({ onDeed }: OutlineProps) {
  const editor = useEditor()
  const { frame } = useShownDocsBehind()
  const page = usePage()
  const entry = useShownPage()
  const siteId = useEditorState((state) => state.siteId)
  const selection = useEditorState((state) => state.selection)
  const [open, setOpen] = useState<ReadonlySet<string>>(new Set())
  const [search, setSearch] = useState<string>()
  const roving = useRoving()
  const bands = useMemo(() => {
    const all = entry ? bandsOnPage(siteId, frame, entry) : []
    return new Map(all.map((band) => [`${band.doc}/${band.section}`, band]))
  }, [siteId, frame, entry])
  const rows = useMemo(() => (page ? outlineOf(frame, page) : []), [frame, page])
  const seen = useMemo(() => seenRows(rows, open, search ?? ''), [rows, open, search])
  // The same for as long as the view is there: of all rows only those are drawn anew that change.
  const hands = useMemo((): RowHands => {
    const onOpen = (row: OutlineRow, opened: boolean) =>
      setOpen((now) => {
        const next = new Set(now)
        if (opened) next.add(rowKey(row))
        else next.delete(rowKey(row))
        return next
      })
    const onChoose = ({ doc, section, element }: OutlineRow) =>
      editor.show({
        selection: element ? { doc, section, element } : { doc, section, property: 'fill' },
      })
    const onKey = (event: KeyboardEvent, row: OutlineRow, isOpen: boolean) => {
      if (event.key === 'ArrowRight' && row.holds && !isOpen) onOpen(row, true)
      else if (event.key === 'ArrowLeft' && isOpen) onOpen(row, false)
      else if (event.key === 'Delete' || event.ctrlKey || event.metaKey || event.altKey) {
        // What is done by keys is done to the row that has the focus.
        const { selection: before } = editor.store.getState()
        onChoose(row)
        if (!onDeed(event)) return editor.show({ selection: before })
      } else return
      event.preventDefault()
      event.stopPropagation()
    }
    return { onOpen, onChoose, onKey }
  }, [editor, onDeed])
  if (!page) return null

  const isChosen = (row: OutlineRow) =>
    selection?.doc === row.doc &&
    selection.section === row.section &&
    (row.element ? selection.element === row.element : !selection.element || !open.has(rowKey(row)))

  return (
    <div className="flex min-h-0 flex-col">
      <div className="mb-1.5 flex items-center justify-between">
        <h2 className="truncate text-xs font-semibold text-soft">{page.title}, top to bottom</h2>
        <IconButton
          label="Find on this page"
          aria-pressed={search !== undefined}
          className="-my-1 size-6.5"
          onClick={() => setSearch(search === undefined ? '' : undefined)}
        >
          <Search size={13} />
        </IconButton>
      </div>
      {search !== undefined && (
        <div className="mb-1.5">
          <SearchField label="Find on this page" value={search} onChange={setSearch} />
        </div>
      )}
      <div
        {...roving}
        role="group"
        aria-label="Outline"
        className="min-h-0 overflow-y-auto rounded border border-edge-strong/50"
      >
        {seen.map((row) => {
          const props = {
            row,
            chosen: isChosen(row),
            isOpen: open.has(rowKey(row)),
            hands,
          }
          const band = bands.get(`${row.doc}/${row.section}`)
          return row.element ? (
            <ElementRow key={rowKey(row)} {...props} />
          ) : (
            <SectionRow key={rowKey(row)} {...props} band={band} />
          )
        })}
        {search && seen.length === 0 && (
          <p className="p-2 text-soft">Nothing on this page says that.</p>
        )}
      </div>
      <button
        type="button"
        className="mt-1.5 flex h-7 items-center gap-1.5 rounded px-1.5 text-[13px] font-semibold hover:bg-hover"
        onClick={() => editor.show({ adding: {} })}
      >
        <Plus size={14} /> Add a section
      </button>
    </div>
  )
}

interface RowHands {
  readonly onChoose: (row: OutlineRow) => void
  readonly onOpen: (row: OutlineRow, open: boolean) => void
  readonly onKey: (event: KeyboardEvent, row: OutlineRow, isOpen: boolean) => void
}

interface RowProps {
  readonly row: OutlineRow
  readonly chosen: boolean
  readonly isOpen: boolean
  readonly hands: RowHands
}

/** A section: it can be opened, and dragged to another place of its page. */
const SectionRow = memo(function SectionRow({
  row,
  band,
  chosen,
  isOpen,
  hands,
}: RowProps & { readonly band?: Band }) {
  const { section, words, hidden, holds } = row
  const isShared = !usePage()?.body.order.includes(section)
  const { listeners, setNodeRef, isDragging } = useDraggable({
    id: `section:${section}`,
    disabled: isShared,
  })
  const { setNodeRef: setPlaceRef, isOver, active } = useDroppable({ id: `band:${section}` })
  const isTarget =
    isOver && (isShared ? /^element:/ : /^(section|element):/).test(String(active?.id))
  return (
    <div
      ref={setPlaceRef}
      className={`group/row relative ${isTarget ? 'shadow-[inset_0_3px_0_0_#000,inset_0_5px_0_0_#fff]' : ''} ${isDragging ? 'opacity-40' : ''}`}
    >
      {holds && (
        <button
          type="button"
          tabIndex={-1}
          aria-hidden
          data-opens={section}
          onClick={() => hands.onOpen(row, !isOpen)}
          style={{ color: band?.text }}
          className={`absolute top-0 right-8.5 z-20 grid h-full w-5 place-items-center ${isOpen ? '' : 'opacity-0 group-focus-within/row:opacity-100 group-hover/row:opacity-100'}`}
        >
          <ChevronRight size={13} className={isOpen ? 'rotate-90' : ''} />
        </button>
      )}
      {band && !hidden ? (
        <BandButton
          {...listeners}
          ref={setNodeRef}
          band={band}
          chosen={chosen}
          told={toldOf(row, band)}
          aria-expanded={holds ? isOpen : undefined}
          className="py-[3px]"
          onClick={() => hands.onChoose(row)}
          onKeyDown={(event) => hands.onKey(event, row, isOpen)}
        />
      ) : (
        <button
          type="button"
          aria-pressed={chosen}
          aria-expanded={holds ? isOpen : undefined}
          onClick={() => hands.onChoose(row)}
          onKeyDown={(event) => hands.onKey(event, row, isOpen)}
          className="flex w-full items-center justify-between gap-2 border-y border-dashed border-edge-strong bg-panel px-2.5 py-1 text-left text-soft aria-pressed:shadow-[inset_0_0_0_2px_#000]"
        >
          <span className="truncate font-semibold">{words}</span>
          <span className="text-[11px]">hidden</span>
        </button>
      )}
    </div>
  )
})

/** Something in a section, by its kind and its words. */
const ElementRow = memo(function ElementRow({ row, chosen, isOpen, hands }: RowProps) {
  const { doc, section, element, depth, label, words, holds } = row
  const { listeners, setNodeRef, isDragging } = useDraggable({ id: `element:${doc}/${element}` })
  const place = useDroppable({ id: `row:${doc}/${section}/${element}` })
  const isTarget = place.isOver && !isDragging && String(place.active?.id).startsWith('element:')
  const mark = holds ? 'shadow-[inset_0_0_0_2px_#000]' : 'shadow-[inset_0_2px_0_0_#000]'
  return (
    <button
      {...listeners}
      ref={(node) => {
        setNodeRef(node)
        place.setNodeRef(node)
      }}
      type="button"
      aria-pressed={chosen}
      aria-expanded={holds ? isOpen : undefined}
      title={`${label}: ${words}`}
      onClick={() => hands.onChoose(row)}
      onDoubleClick={() => holds && hands.onOpen(row, !isOpen)}
      onKeyDown={(event) => hands.onKey(event, row, isOpen)}
      style={{ paddingLeft: 6 + depth * 10 }}
      className={`flex w-full items-center gap-1 bg-raised py-[3px] pr-2 text-left text-[12px] hover:bg-hover aria-pressed:bg-strong aria-pressed:text-on-strong ${isTarget ? mark : ''} ${isDragging ? 'opacity-40' : ''}`}
    >
      <ChevronRight
        size={11}
        aria-hidden
        className={`shrink-0 ${holds ? '' : 'invisible'} ${isOpen ? 'rotate-90' : ''}`}
      />
      <span className="truncate">
        {words || label}
        {words && <span className="opacity-60"> {label.toLowerCase()}</span>}
      </span>
    </button>
  )
})

function toldOf({ label }: OutlineRow, { blends, themeName }: Band): string {
  if (blends) return `blends, ${themeName}`
  return label === 'Part' ? `part, ${themeName}` : themeName
}
