'use client'

import { useEffect, useMemo, useRef, useState, type MouseEvent } from 'react'
import { facetsOf, spotsOnPage, traceFacet, type Trace } from '@/core/resolve'
import {
  bodyOf,
  themesInOrder,
  walkSection,
  type Frame,
  type SiteDocs,
  type SiteElement,
} from '@/core/site'
import { useEditor, useEditorState, type SheetCells } from '../editor'
import { Segments } from '../kit'
import {
  boxOf,
  createStageWriter,
  hitTest,
  selectedNode,
  type Box,
  type StageWriter,
} from '../stage'
import { specimenId, specimenPage } from './specimen-page'
import { freeze, specimenStates, type SpecimenState } from './specimen-states'

const STATES = Object.entries(specimenStates) as Array<[SpecimenState, string]>

interface Held {
  readonly document: Document
  readonly writer: StageWriter
}

/** A page of every kind of element, in one theme or all, each state at will. A click leads to the cell that decides. */
export function Specimen({ frame }: { readonly frame: Frame }) {
  const editor = useEditor()
  const siteId = useEditorState((state) => state.siteId)
  const cells = useEditorState((state) => state.sheetCells)
  const [state, setState] = useState<SpecimenState>('rest')
  const [wanted, setWanted] = useState<string>('all')
  const [held, setHeld] = useState<Held>()
  const [height, setHeight] = useState(400)
  const [boxes, setBoxes] = useState<readonly Box[]>([])
  const iframe = useRef<HTMLIFrameElement>(null)
  const themes = themesInOrder(frame.themes)
  const shown = themes.filter(({ id }) => wanted === 'all' || wanted === id)
  const names = shown.map(({ id, name }) => `${id} ${name}`).join('\n')
  // The page changes with the names of the themes alone; their colours come by the stylesheet.
  const page = useMemo(() => specimenPage(shown), [names]) // eslint-disable-line react-hooks/exhaustive-deps
  const docs = useMemo<SiteDocs>(
    () => ({
      frame: { ...frame, body: { order: [], sections: {}, elements: {} }, customCss: '' },
      pages: { [specimenId]: page },
    }),
    [frame, page],
  )
  const side = wanted === 'all'

  const take = (document: Document | null | undefined) => {
    if (document?.title === 'Stage' && document.readyState === 'complete')
      setHeld({ document, writer: createStageWriter(document) })
  }
  useEffect(() => take(iframe.current?.contentDocument), [])
  useEffect(() => {
    if (!held) return undefined
    held.writer.write(siteId, docs, specimenId, {})
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

  const click = (event: MouseEvent<HTMLDivElement>) => {
    if (!held) return
    const bounds = event.currentTarget.getBoundingClientRect()
    const [x, y] = [event.clientX - bounds.left, event.clientY - bounds.top]
    const found = hitTest(held.document, docs, specimenId, x, y)?.selection
    const spot = spotsOnPage(docs, specimenId).find(({ section }) => section.id === found?.section)
    if (!found || !spot) return
    const element = found.element && bodyOf(docs, specimenId)?.elements[found.element]
    const facets = facetsOf(element || undefined)
    const facet = facets.find(({ key }) => key === found.facet) ?? facets[0]
    if (!facet) return
    const trace = traceFacet(spot, element || undefined, facet, traced(state))
    const decider = trace.chain[trace.decidedBy]
    if (decider?.at !== 'theme') return
    editor.store.setState({ sheetCells: { roles: [decider.role], themes: [decider.theme] } })
    requestAnimationFrame(() => {
      const cell = document.querySelector<HTMLElement>(
        `[data-cell="${decider.theme}/${decider.role}"]`,
      )
      cell?.scrollIntoView({ block: 'nearest', inline: 'nearest' })
      cell?.focus({ preventScroll: true })
    })
  }
  return (
    <section aria-label="Specimen" className="flex h-[46%] min-h-0 flex-col border-t border-edge">
      <div className="flex items-center gap-2 px-4 py-1.5">
        <select
          aria-label="Themes of the specimen"
          value={wanted}
          onChange={(event) => setWanted(event.target.value)}
          className="h-7 rounded-md border border-edge-strong/60 bg-raised px-1.5"
        >
          <option value="all">All themes, side by side</option>
          {themes.map(({ id, name }) => (
            <option key={id} value={id}>
              {name}
            </option>
          ))}
        </select>
        <Segments label="State" value={state} options={STATES} onChange={setState} />
      </div>
      <div className="min-h-0 flex-1 overflow-auto bg-well">
        <div
          className="relative"
          style={{ height, width: side ? shown.length * 330 : '100%' }}
          data-testid="specimen"
          onClick={click}
        >
          <iframe
            ref={iframe}
            src="/stage"
            title="The specimen"
            sandbox="allow-same-origin"
            tabIndex={-1}
            onLoad={(event) => take(event.currentTarget.contentDocument)}
            className="pointer-events-none block size-full border-0 bg-white"
          />
          {boxes.map(({ x, y, width, height: tall }, i) => (
            <span
              key={i}
              aria-hidden
              data-outline="cell"
              className="pointer-events-none absolute outline-2 outline-black ring-4 ring-white/90 outline-dashed"
              style={{ left: x, top: y, width, height: tall }}
            />
          ))}
        </div>
      </div>
    </section>
  )
}

/** The state that a trace knows: pressed is pointed at, the others are at rest. */
const traced = (state: SpecimenState) =>
  state === 'hover' || state === 'pressed' ? ('hover' as const) : ('rest' as const)

/** The boxes of everything on the specimen that chosen cells colour. */
function boxesOfCells(
  stage: Document,
  docs: SiteDocs,
  cells: SheetCells | undefined,
  state: SpecimenState,
): Box[] {
  if (!cells) return []
  const decides = (trace: Trace) => {
    const decider = trace.chain[trace.decidedBy]
    return (
      decider?.at === 'theme' &&
      cells.themes.includes(decider.theme) &&
      cells.roles.includes(decider.role)
    )
  }
  return spotsOnPage(docs, specimenId).flatMap((spot) => {
    const { doc, section } = spot
    const elements: Array<SiteElement | undefined> = [undefined]
    walkSection(bodyOf(docs, doc)!, section, (element) => void elements.push(element))
    return elements.flatMap((element) => {
      const colored = facetsOf(element).find((facet) =>
        decides(traceFacet(spot, element, facet, traced(state))),
      )
      if (!colored) return []
      const node = selectedNode(stage, { doc, section: section.id, element: element?.id })
      const parts = colored.part ? [...(node?.querySelectorAll(`.${colored.part}`) ?? [])] : []
      return (parts.length ? parts : node ? [node] : []).map(boxOf)
    })
  })
}
