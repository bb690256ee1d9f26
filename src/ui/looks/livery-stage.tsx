'use client'

import { useEffect, useState } from 'react'
import type { SiteDocs } from '@/core/site'
import { useEditorState } from '../editor'
import { createStageWriter, Divider, StageFrame, type StageWriter } from '../stage'
import { useBodyHeight, useFit } from './use-fit'

interface Held {
  readonly document: Document
  readonly writer: StageWriter
}

/** A frame that shows the page that is open, as it is in some documents. */
function usePage(docs: SiteDocs | undefined) {
  const siteId = useEditorState((state) => state.siteId)
  const pageId = useEditorState((state) => state.pageId)
  const [held, setHeld] = useState<Held>()
  useEffect(() => {
    if (docs) held?.writer.write(siteId, docs, pageId)
  }, [held, siteId, docs, pageId])
  return {
    document: held?.document,
    onOpen: (document: Document) => setHeld({ document, writer: createStageWriter(document) }),
  }
}

interface LiveryStageProps {
  /** The site in the livery that is tried on; none where none is. */
  readonly after: SiteDocs | undefined
  readonly width: number
}

/** The very page that is open, before and after a livery, with a divider between. */
export function LiveryStage({ after, width }: LiveryStageProps) {
  const docs = useEditorState((state) => state.docs)
  const [divider, setDivider] = useState(0.4)
  const { room, scale } = useFit(width)
  const [now, then] = [usePage(docs), usePage(after ?? docs)]
  const heights = [useBodyHeight(now.document), useBodyHeight(then.document)]
  const height = Math.max(...heights)
  const style = { width, height, transform: `scale(${scale})` }
  return (
    <div
      ref={room}
      className="h-full overflow-x-hidden overflow-y-auto"
      data-testid="livery-stage"
      tabIndex={0}
      role="group"
      aria-label={after ? 'The page before and after' : 'The page as it is'}
    >
      <div
        className="relative mx-auto overflow-hidden"
        style={{ width: width * scale, height: Math.max(height * scale, 200) }}
      >
        <StageFrame
          title={after ? 'The page after' : 'The page'}
          onOpen={then.onOpen}
          className="pointer-events-none absolute top-0 left-0 origin-top-left bg-white"
          style={style}
        />
        <StageFrame
          title="The page before"
          onOpen={now.onOpen}
          className="pointer-events-none absolute top-0 left-0 origin-top-left bg-white"
          style={{ ...style, clipPath: `inset(0 ${after ? 100 - divider * 100 : 100}% 0 0)` }}
        />
        {after && <Divider value={divider} onChange={setDivider} />}
      </div>
    </div>
  )
}
