'use client'

import { useEffect, useMemo, useState } from 'react'
import { themesInOrder, type SiteDocs } from '@/core/site'
import { useEditorState } from '../editor'
import { createStageWriter, StageFrame, useBodyHeight, useFit, type StageWriter } from '../stage'
import { specimenDocs, specimenPage, useOwnWords } from '../themes'
import { stylesPage } from './styles-page'

interface Held {
  readonly document: Document
  readonly writer: StageWriter
}

/** Shows what is tried on, for as long as it is; called with nothing, the specimen as it is. */
export type TryOn = (change?: (docs: SiteDocs) => SiteDocs) => void

interface LooksStageProps {
  /** What it shows: the open page, every kind of element, or every element style by its name. */
  readonly shows: 'page' | 'kinds' | 'styles'
  /** The theme that kinds and styles are shown in, or `all`. */
  readonly theme: string
  readonly width: number
  /** Given what shows something on it. */
  readonly onOpen: (tryOn: TryOn) => void
}

/** The documents that are drawn, and the page of them: the site's own, or one that is made to show all there is. */
function useShown({ shows, theme }: Pick<LooksStageProps, 'shows' | 'theme'>) {
  const docs = useEditorState((state) => state.docs)
  const pageId = useEditorState((state) => state.pageId)
  const own = useOwnWords()
  const { frame, fonts, pictures } = docs
  const { themes, styles } = frame
  const made = useMemo(() => {
    const shown = themesInOrder(themes).filter(({ id }) => theme === 'all' || id === theme)
    if (shows === 'page') return undefined
    return shows === 'kinds' ? specimenPage(shown, own) : stylesPage(frame, shown, own)
    // eslint-disable-next-line react-hooks/exhaustive-deps -- of the frame only these matter
  }, [shows, theme, themes, styles, own])
  const madeDocs = useMemo(
    () => made && specimenDocs({ frame, fonts, pictures }, made),
    [frame, fonts, pictures, made],
  )
  return { docs: madeDocs ?? docs, page: made?.id ?? pageId }
}

const TITLES = {
  page: 'The open page, as it will be',
  kinds: 'The specimen: every kind of element',
  styles: 'The specimen: every element style',
} as const

/** The open page, or every kind of element in one theme, in real size: what shapes and type are seen on while they are set. */
export function LooksStage({ shows, theme, width, onOpen }: LooksStageProps) {
  const siteId = useEditorState((state) => state.siteId)
  const [held, setHeld] = useState<Held>()
  const { room, scale } = useFit(width)
  const height = useBodyHeight(held?.document)
  const { docs, page } = useShown({ shows, theme })
  useEffect(() => {
    if (!held) return
    held.writer.write(siteId, docs, page)
  }, [held, docs, siteId, page])
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
      aria-label={TITLES[shows]}
    >
      <div
        className="relative mx-auto"
        style={{ width: width * scale, height: Math.max(height * scale, 200) }}
      >
        <StageFrame
          title={shows === 'page' ? 'The open page' : 'The specimen'}
          onOpen={(document) => setHeld({ document, writer: createStageWriter(document) })}
          className="pointer-events-none origin-top-left bg-white"
          style={{ width, height, transform: `scale(${scale})` }}
        />
      </div>
    </div>
  )
}
