'use client'

import { useEffect, useState } from 'react'
import { useEditorState } from '../editor'
import {
  createStageWriter,
  paintedAreas,
  StageFrame,
  useBodyHeight,
  type StageWriter,
} from '../stage'

/** How much of the open page each colour covers, by its key. */
export type Areas = ReadonlyMap<string, number>

/** How wide the page is drawn, in its own pixels. */
const WIDTH = 1280

/** Draws the page that is open out of sight, and tells how much of it each colour covers. */
export function PageAreas({ onAreas }: { readonly onAreas: (areas: Areas) => void }) {
  const siteId = useEditorState((state) => state.siteId)
  const docs = useEditorState((state) => state.docs)
  const pageId = useEditorState((state) => state.pageId)
  const [held, setHeld] = useState<{ readonly page: Document; readonly writer: StageWriter }>()
  const height = useBodyHeight(held?.page)
  useEffect(() => {
    if (!held) return undefined
    const { page, writer } = held
    let current = true
    writer.write(siteId, docs, pageId)
    // As high as it is, so that all of it can be looked at; its fonts say how high that is.
    void page.fonts.ready
      .then(() => paintedAreas(page))
      .then((areas) => {
        if (current) onAreas(areas)
      })
    return () => {
      current = false
    }
  }, [held, siteId, docs, pageId, height, onAreas])
  return (
    <div aria-hidden className="pointer-events-none fixed top-0 left-[-10000px] opacity-0">
      <StageFrame
        title="The page, looked at for its colours"
        className=""
        style={{ width: WIDTH, height }}
        onOpen={(page) => setHeld({ page, writer: createStageWriter(page) })}
      />
    </div>
  )
}
