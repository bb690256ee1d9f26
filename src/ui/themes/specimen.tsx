'use client'

import { useEffect, useMemo, useState, type KeyboardEvent, type MouseEvent } from 'react'
import { roleName, type RoleId } from '@/core/roles'
import { themesInOrder, type Frame, type SiteDocs, type Theme, type ThemeId } from '@/core/site'
import { useEditor, useEditorState } from '../editor'
import { arrowSteps, Segments, Splitter } from '../kit'
import { createStageWriter, hitTest, StageFrame, type Box, type StageWriter } from '../stage'
import { counted } from '../words'
import { cornerOf } from './sheet-choice'
import { focusCell, showCell } from './sheet-place'
import { boxesOfCells, cellOfSelection, nextCell, specimenGrid } from './specimen-cells'
import { specimenDocs, specimenId, specimenPage } from './specimen-page'
import { useOwnWords } from './use-own-words'
import { freeze, specimenStates, type SpecimenState } from './specimen-states'

const STATES = Object.entries(specimenStates) as Array<[SpecimenState, string]>

interface Held {
  readonly document: Document
  readonly writer: StageWriter
}

/** The specimen’s own stage: written when its colours change, measured when its size does, with the boxes of chosen cells. */
function useSpecimenStage(docs: SiteDocs, state: SpecimenState, side: boolean) {
  const siteId = useEditorState((each) => each.siteId)
  const cells = useEditorState((each) => each.sheetCells)
  const [held, setHeld] = useState<Held>()
  const [height, setHeight] = useState(400)
  const [boxes, setBoxes] = useState<readonly Box[]>([])
  useEffect(() => {
    if (!held) return undefined
    held.writer.write(siteId, docs, specimenId)
    freeze(held.document, state, side)
    const measure = () => {
      setHeight(Math.ceil(held.document.body.getBoundingClientRect().height))
      setBoxes(boxesOfCells(held.document, docs, cells, state))
    }
    const observer = new ResizeObserver(measure)
    observer.observe(held.document.body)
    measure()
    return () => observer.disconnect()
  }, [held, docs, siteId, state, side, cells])
  const open = (document: Document) => setHeld({ document, writer: createStageWriter(document) })
  return { held, open, height, boxes }
}

interface SpecimenBarProps {
  readonly themes: readonly Theme[]
  /** A theme by its id, or `all`. */
  readonly wanted: string
  readonly onWanted: (wanted: string) => void
  readonly state: SpecimenState
  readonly onState: (state: SpecimenState) => void
}

function SpecimenBar({ themes, wanted, onWanted, state, onState }: SpecimenBarProps) {
  return (
    <div className="flex items-center gap-2 px-4 py-1.5">
      <select
        aria-label="Themes of the specimen"
        value={wanted}
        onChange={(event) => onWanted(event.target.value)}
        className="h-7 rounded-md border border-edge-strong/60 bg-raised px-1.5"
      >
        <option value="all">All themes, side by side</option>
        {themes.map(({ id, name }) => (
          <option key={id} value={id}>
            {name}
          </option>
        ))}
      </select>
      <Segments label="State" value={state} options={STATES} onChange={onState} />
      <span className="min-w-0 flex-1 truncate text-right text-xs text-soft">
        Click a colour, or walk with the arrow keys; Enter goes to its cell
      </span>
    </div>
  )
}

/** Width of a theme beside others, in pixels of the page, and how small it is drawn there. */
const [SIDE_WIDTH, SIDE_SCALE] = [330, 0.72]

interface SpecimenProps {
  readonly frame: Frame
  /** Told of the role whose cell is gone to. */
  readonly onGo: (role: RoleId) => void
}

/** A page of every kind of element, in one theme or all, each state at will. A click leads to the cell that decides. */
export function Specimen({ frame, onGo }: SpecimenProps) {
  const editor = useEditor()
  const cells = useEditorState((state) => state.sheetCells)
  const [state, setState] = useState<SpecimenState>('rest')
  const [wanted, setWanted] = useState<string>('all')
  const [share, setShare] = useState(50)
  const themes = themesInOrder(frame.themes)
  const shown = themes.filter(({ id }) => wanted === 'all' || wanted === id)
  const names = shown.map(({ id, name }) => `${id} ${name}`).join('\n')
  const own = useOwnWords()
  // The page changes with the names of the themes and the words; colours come by the stylesheet.
  const page = useMemo(() => specimenPage(shown, own), [names, own]) // eslint-disable-line react-hooks/exhaustive-deps
  const fonts = useEditorState((state) => state.docs.fonts)
  const pictures = useEditorState((state) => state.docs.pictures)
  const docs = useMemo(
    () => specimenDocs({ frame, fonts, pictures }, page),
    [frame, fonts, pictures, page],
  )
  const width = shown.length * SIDE_WIDTH
  const side = wanted === 'all'
  const scale = side ? SIDE_SCALE : 1
  const { held, open, height, boxes } = useSpecimenStage(docs, state, side)

  const choose = ([role, theme]: readonly [RoleId, ThemeId]) => {
    editor.show({ sheetCells: { roles: [role], themes: [theme] } })
    onGo(role)
  }
  const click = (event: MouseEvent<HTMLDivElement>) => {
    if (!held) return
    const bounds = event.currentTarget.getBoundingClientRect()
    const [x, y] = [(event.clientX - bounds.left) / scale, (event.clientY - bounds.top) / scale]
    const found = hitTest(held.document, docs, x, y)?.selection
    const cell = found && cellOfSelection(docs, state, found)
    if (!cell) return
    choose(cell)
    requestAnimationFrame(() => focusCell(...cell))
  }
  const onKeyDown = (event: KeyboardEvent) => {
    const steps = arrowSteps[event.key]
    if (!steps && event.key !== 'Enter') return
    event.preventDefault()
    if (!steps) return cells && focusCell(...cornerOf(cells))
    const next = nextCell(specimenGrid(docs, state), cells, steps)
    if (!next) return
    choose(next)
    requestAnimationFrame(() => {
      showCell(...next)
      const [outlined] = document.querySelectorAll('[data-outline=cell]')
      outlined?.scrollIntoView({ block: 'nearest', inline: 'nearest' })
    })
  }
  return (
    <section
      aria-label="Specimen"
      className="flex min-h-0 shrink-0 flex-col border-t border-edge"
      style={{ height: `${share}%` }}
    >
      <Splitter label="Height of the specimen" value={share} onChange={setShare} />
      <SpecimenBar
        themes={themes}
        wanted={wanted}
        onWanted={setWanted}
        state={state}
        onState={setState}
      />
      <div
        role="group"
        tabIndex={0}
        aria-label="The specimen. Arrow keys walk its colours, Enter goes to the cell"
        className="min-h-0 flex-1 overflow-auto bg-well -outline-offset-2"
        onKeyDown={onKeyDown}
      >
        <p className="sr-only" aria-live="polite">
          {cells && `${cells.roles.map(roleName).join(', ')}: ${counted(boxes.length, 'place')}`}
        </p>
        <div
          className="relative"
          style={{ height: height * scale, width: side ? width * scale : '100%' }}
          data-testid="specimen"
          onClick={click}
        >
          <StageFrame
            title="The specimen"
            onOpen={open}
            className="pointer-events-none origin-top-left bg-white"
            style={{ height, width: side ? width : '100%', transform: `scale(${scale})` }}
          />
          {boxes.map(({ x, y, width: wide, height: tall }, i) => (
            <span
              key={i}
              aria-hidden
              data-outline="cell"
              className="pointer-events-none absolute outline-2 outline-black ring-4 ring-white/90 outline-dashed"
              style={{ left: x * scale, top: y * scale, width: wide * scale, height: tall * scale }}
            />
          ))}
        </div>
      </div>
    </section>
  )
}
