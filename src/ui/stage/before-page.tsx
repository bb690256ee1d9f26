'use client'

import { useEffect, useState } from 'react'
import { useEditor, useEditorState } from '../editor'
import { Divider } from './divider'
import { createStageWriter, type StageWriter } from './stage-document'
import { StageFrame } from './stage-frame'

interface BeforePageProps {
  readonly width: number
  readonly height: number
  readonly scale: number
  /** Where the page before ends and the page after begins, 0…1. */
  readonly divider: number
}

/** The page as it is, laid over the page as it would be, up to a divider that can be moved. */
export function BeforePage({ width, height, scale, divider }: BeforePageProps) {
  const editor = useEditor()
  const docs = useEditorState((state) => state.docs)
  const pageId = useEditorState((state) => state.pageId)
  const siteId = useEditorState((state) => state.siteId)
  const [writer, setWriter] = useState<StageWriter>()

  useEffect(() => {
    writer?.write(siteId, docs, pageId)
  }, [writer, siteId, docs, pageId])
  return (
    <>
      <StageFrame
        title="The page before"
        onOpen={(stage) => setWriter(createStageWriter(stage))}
        className="pointer-events-none absolute top-0 left-0 origin-top-left bg-white"
        style={{
          width,
          height,
          transform: `scale(${scale})`,
          clipPath: `inset(0 ${100 - divider * 100}% 0 0)`,
        }}
      />
      <Divider value={divider} onChange={(next) => editor.show({ divider: next })} />
    </>
  )
}
