'use client'

import { useDeferredValue, useEffect, useState } from 'react'
import { lowInAddOns, measurePage, type LowContrast, type PageContrast } from '@/core/check'
import { failingInSite } from '@/core/generate'
import type { SiteDocs } from '@/core/site'
import { inStrokes } from '../in-strokes'
import { useEditorState } from './context'

/** How long the site rests before it is measured, in milliseconds. */
const QUIET = 350

/** What has too little contrast in the themes, the add-ons and on the page that is shown. */
export interface MeasuredContrast {
  readonly themes: ReturnType<typeof failingInSite>
  readonly addOns: readonly LowContrast[]
  readonly page: PageContrast
}

interface Measured extends MeasuredContrast {
  readonly of: SiteDocs
  readonly pageId: string
}

/**
 * The contrast of themes, add-ons and the shown page, measured in short strokes once the site
 * rests. `isCurrent` is false while what is shown is of a state before.
 */
export function useContrast(): {
  readonly measured?: MeasuredContrast
  readonly isCurrent: boolean
} {
  const docs = useDeferredValue(useEditorState((state) => state.docs))
  const pageId = useEditorState((state) => state.pageId)
  const [measured, setMeasured] = useState<Measured>()
  useEffect(() => {
    const stop = new AbortController()
    const timer = setTimeout(() => {
      void inStrokes(measurePage(docs, pageId), stop.signal).then((page) => {
        if (!page) return
        const { frame } = docs
        const [themes, addOns] = [failingInSite(frame), lowInAddOns(frame)]
        setMeasured({ of: docs, pageId, themes, addOns, page })
      })
    }, QUIET)
    return () => {
      clearTimeout(timer)
      stop.abort()
    }
  }, [docs, pageId])
  return { measured, isCurrent: measured?.of === docs && measured.pageId === pageId }
}
