'use client'

import { useState } from 'react'
import type { SiteDocs } from '@/core/site'
import { useEditorState } from '../editor'
import { PagePair } from '../stage'

interface LiveryStageProps {
  /** The site in the livery that is tried on; none where none is. */
  readonly after: SiteDocs | undefined
  readonly width: number
}

/** The very page that is open, before and after a livery. */
export function LiveryStage({ after, width }: LiveryStageProps) {
  const docs = useEditorState((state) => state.docs)
  const pageId = useEditorState((state) => state.pageId)
  const [divider, setDivider] = useState(0.4)
  return (
    <PagePair
      page={pageId}
      before={docs}
      after={after}
      width={width}
      divider={divider}
      onDivider={setDivider}
      testId="livery-stage"
    />
  )
}
