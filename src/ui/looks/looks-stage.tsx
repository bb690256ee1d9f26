'use client'

import { useEffect, useMemo, useState } from 'react'
import { themesInOrder, type SiteDocs } from '@/core/site'
import { useEditorState } from '../editor'
import { createStageWriter, StageFrame, useBodyHeight, useFit, type StageWriter } from '../stage'
import { specimenDocs, specimenPage } from '../themes'

import { stylesPage } from './styles-page'

interface Held {
  readonly document: Document
  readonly writer: StageWriter
}

/** Shows what is tried on, for as long as it is; called with nothing, the specimen as it is. */
export type TryOn = (change?: (docs: SiteDocs) => SiteDocs) => void

interface LooksStageProps {
  /** What it shows: every kind of element, or every element style by its name. */
  readonly shows: 'kinds' | 'styles'
  /** The theme that it is shown in, or `all`. */
  readonly theme: string
  readonly width: number
  /** Given what shows something on it. */
  readonly onOpen: (tryOn: TryOn) => void
}

/** Every kind of element in one theme, in real size: what shapes and type are seen on while they are set. */
export function LooksStage({ shows, theme, width, onOpen }: LooksStageProps) {
  const frame = useEditorState((state) => state.docs.frame)
  const fonts = useEditorState((state) => state.docs.fonts)
  const siteId = useEditorState((state) => state.siteId)
  const [held, setHeld] = useState<Held>()
  const { room, scale } = useFit(width)
  const height = useBodyHeight(held?.document)
  const { themes, styles } = frame
  const page = useMemo(() => {
    const shown = themesInOrder(themes).filter(({ id }) => theme === 'all' || id === theme)
    return shows === 'kinds' ? specimenPage(shown) : stylesPage(frame, shown)
    // eslint-disable-next-line react-hooks/exhaustive-deps -- of the frame only these matter
  }, [shows, theme, themes, styles])
  const docs = useMemo(() => specimenDocs({ frame, fonts }, page), [frame, fonts, page])
  useEffect(() => {
    if (!held) return
    held.writer.write(siteId, docs, page.id)
  }, [held, docs, siteId, page.id])
  useEffect(() => {
    onOpen((change) => held?.writer.tryOn(change ?? ((now) => now)))
  }, [held, onOpen])
  return (
    <div
      ref={room}
      className="h-full overflow-x-hidden overflow-y-auto"
      data-testid="looks-stage"
      tabIndex={0}
      role="group"
      aria-label="The specimen: every kind of element"
    >
      <div
        className="relative mx-auto"
        style={{ width: width * scale, height: Math.max(height * scale, 200) }}
      >
        <StageFrame
          title="The specimen"
          onOpen={(document) => setHeld({ document, writer: createStageWriter(document) })}
          className="pointer-events-none origin-top-left bg-white"
          style={{ width, height, transform: `scale(${scale})` }}
        />
      </div>
    </div>
  )
}
