'use client'

import { useEffect, useState } from 'react'
import type { PlannedPictures } from '@/core/render'
import type { PageId, SiteDocs } from '@/core/site'
import { useEditorState } from '../editor'
import { Divider } from './divider'
import { createStageWriter, type StageWriter } from './stage-document'
import { StageFrame } from './stage-frame'
import { useBodyHeight, useFit } from './use-fit'

interface Held {
  readonly document: Document
  readonly writer: StageWriter
}

/** A frame that shows a page as it is in some documents. */
function useDrawn(docs: SiteDocs, page: PageId, planned?: PlannedPictures) {
  const siteId = useEditorState((state) => state.siteId)
  const [held, setHeld] = useState<Held>()
  useEffect(
    () => held?.writer.write(siteId, docs, page, planned),
    [held, siteId, docs, page, planned],
  )
  return {
    document: held?.document,
    onOpen: (document: Document) => setHeld({ document, writer: createStageWriter(document) }),
  }
}

interface PagePairProps {
  readonly page: PageId
  readonly before: SiteDocs
  /** The same as it would be; none where nothing is tried. */
  readonly after: SiteDocs | undefined
  /** Pictures that are shown otherwise after it. */
  readonly planned?: PlannedPictures
  /** How wide the page is, in its own pixels. */
  readonly width: number
  /** Where the one ends and the other begins, 0…1. */
  readonly divider: number
  readonly onDivider: (divider: number) => void
  readonly testId: string
}

/** A page before and after, with a divider between. */
export function PagePair(props: PagePairProps) {
  const { page, before, after, planned, width, divider, onDivider, testId } = props
  const { room, scale } = useFit(width)
  const [now, then] = [useDrawn(before, page), useDrawn(after ?? before, page, planned)]
  const heights = [useBodyHeight(now.document), useBodyHeight(then.document)]
  const height = Math.max(...heights)
  const style = { width, height, transform: `scale(${scale})` }
  return (
    <div
      ref={room}
      className="h-full overflow-x-hidden overflow-y-auto"
      data-testid={testId}
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
        {after && <Divider value={divider} onChange={onDivider} />}
      </div>
    </div>
  )
}
