'use client'

import { useEffect, useRef, useState } from 'react'
import type { Frame, Page } from '@/core/site'
import { useEditorState } from '../editor'
import { useRoving } from '../kit'
import { boxOf, createStageWriter, StageFrame, type Box, type StageWriter } from '../stage'
import { libraryId } from './library-page'

/** Width of a section as it is drawn, in CSS pixels of its page, and the room between two. */
const WIDTH = 1140
const GAP = 56
const COLUMNS = 2

/** How the sections of the library lie: side by side in columns, none torn. */
const layout = `
body { columns: ${COLUMNS}; column-gap: ${GAP}px; background: transparent; }
.section { break-inside: avoid; margin-block-end: ${GAP + 40}px; }`

/** A section to choose: what it is called, and what else is to be said of it. */
export interface ToChoose {
  readonly id: string
  readonly name: string
  readonly told?: string
}

interface LiveSectionsProps {
  /** Those to choose among, in the order in which the page has them. */
  readonly sections: readonly ToChoose[]
  readonly page: Page
  /** The parts of the site that the page may place. */
  readonly parts: Frame['body']
  readonly onChoose: (index: number) => void
}

/** Sections live in the colours, type and shapes of the site, to choose one of. */
export function LiveSections({ sections, page, parts, onChoose }: LiveSectionsProps) {
  const docs = useEditorState((state) => state.docs)
  const siteId = useEditorState((state) => state.siteId)
  const [drawn, setDrawn] = useState<{ document: Document; writer: StageWriter }>()
  const [boxes, setBoxes] = useState<{ readonly height: number; readonly at: readonly Box[] }>()
  const view = useRef<HTMLDivElement>(null)
  const [width, setWidth] = useState(1100)
  const roving = useRoving()
  const scale = width / (WIDTH * COLUMNS + GAP)

  useEffect(() => {
    const observer = new ResizeObserver(([entry]) => setWidth(entry!.contentRect.width))
    observer.observe(view.current!)
    return () => observer.disconnect()
  }, [])

  useEffect(() => {
    if (!drawn) return undefined
    const { document, writer } = drawn
    const frame = { ...docs.frame, body: parts }
    writer.write(siteId, { ...docs, frame, pages: { [libraryId]: page } }, libraryId)
    if (!document.querySelector('[data-layer=library]')) {
      const style = document.createElement('style')
      style.dataset.layer = 'library'
      style.textContent = layout
      document.head.append(style)
    }
    const measure = () =>
      setBoxes({
        height: document.body.scrollHeight,
        at: [...document.querySelectorAll('main > *')].map(boxOf),
      })
    const observer = new ResizeObserver(measure)
    observer.observe(document.body)
    measure()
    return () => observer.disconnect()
  }, [drawn, docs, siteId, page, parts])

  return (
    <div className="-mr-3 min-h-0 flex-1 overflow-y-auto rounded bg-well p-4">
      <div ref={view} className="relative" style={{ height: (boxes?.height ?? 600) * scale }}>
        <StageFrame
          title="Sections to add"
          onOpen={(document) => setDrawn({ document, writer: createStageWriter(document) })}
          className="pointer-events-none origin-top-left"
          style={{
            width: WIDTH * COLUMNS + GAP,
            height: boxes?.height ?? 2000,
            transform: `scale(${scale})`,
          }}
        />
        <div {...roving} role="group" aria-label="Sections to add" className="absolute inset-0">
          {boxes?.at.map(({ x, y, width: wide, height }, i) => {
            const ready = sections[i]
            return (
              ready && (
                <button
                  key={ready.id}
                  type="button"
                  onClick={() => onChoose(i)}
                  className="group absolute rounded-sm ring-1 ring-black/15 hover:ring-3 hover:ring-ink focus-visible:ring-3 focus-visible:ring-ink"
                  style={{
                    left: x * scale,
                    top: y * scale,
                    width: wide * scale,
                    height: height * scale,
                  }}
                >
                  <span className="absolute top-full left-0 mt-1.5 text-[13px] font-semibold whitespace-nowrap group-hover:underline">
                    {ready.name}
                    {ready.told && <span className="font-normal text-soft"> {ready.told}</span>}
                  </span>
                </button>
              )
            )
          })}
        </div>
      </div>
    </div>
  )
}
