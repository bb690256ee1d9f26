'use client'

import { useDeferredValue, useMemo } from 'react'
import { spotsOnPage, type Spot } from '@/core/resolve'
import { afterDark } from '@/core/generate'
import type { Page, SiteDocs } from '@/core/site'
import { reachOf, summarize, type Reach } from '@/core/uses'
import { useEditorState } from './context'
import type { Selection } from './store'

/** How many painted things each slot and role reaches, over the whole site; counted after what was changed is drawn. */
export function useReach(): Reach {
  const frame = useDeferredValue(useEditorState((state) => state.docs.frame))
  const pages = useDeferredValue(useEditorState((state) => state.pages))
  return useMemo(
    () => reachOf(frame, [summarize(frame.body), ...pages.map(({ summary }) => summary)]),
    [frame, pages],
  )
}

export function usePage(): Page | undefined {
  return useEditorState((state) => state.docs.pages[state.pageId])
}

/** The documents as they are looked at: in the light edition, or after dark. */
export function useShownDocs(): SiteDocs {
  const docs = useEditorState((state) => state.docs)
  const dark = useEditorState((state) => state.afterDark)
  return useMemo(() => (dark ? { ...docs, frame: afterDark(docs.frame) } : docs), [docs, dark])
}

export function useSpots(): Spot[] {
  const docs = useShownDocs()
  const pageId = useEditorState((state) => state.pageId)
  return useMemo(() => spotsOnPage(docs, pageId), [docs, pageId])
}

export function spotOfSelection(spots: readonly Spot[], selection: Selection): Spot | undefined {
  return spots.find(({ doc, section }) => doc === selection.doc && section.id === selection.section)
}
