'use client'

import { useDeferredValue, useMemo } from 'react'
import { spotsOnPage, type Spot } from '@/core/resolve'
import { afterDark } from '@/core/generate'
import type { Page, SiteDocs } from '@/core/site'
import type { RoleId } from '@/core/theme'
import { reachOf, summarize, type Reach } from '@/core/uses'
import { useEditorState } from './context'
import { isAfterDark, type Selection } from './state'

/** How many painted things each slot and role reaches, over the whole site; counted after what was changed is drawn. */
export function useReach(): Reach {
  const frame = useDeferredValue(useEditorState((state) => state.docs.frame))
  const pages = useDeferredValue(useEditorState((state) => state.pages))
  return useMemo(
    () => reachOf(frame, [summarize(frame.body), ...pages.map(({ summary }) => summary)]),
    [frame, pages],
  )
}

/** The roles that anything on the site is coloured by. What a theme decides for them does not matter to that. */
export function useUsedRoles(): ReadonlySet<RoleId> {
  const frame = useEditorState((state) => state.docs.frame)
  const pages = useEditorState((state) => state.pages)
  const { styles, body } = frame
  const themes = frame.themes.order
  return useMemo(() => {
    const { roles } = reachOf(frame, [summarize(body), ...pages.map(({ summary }) => summary)])
    return new Set(Object.keys(roles).map((key) => key.split('/')[1] as RoleId))
    // eslint-disable-next-line react-hooks/exhaustive-deps -- of the frame only these matter
  }, [styles, body, themes, pages])
}

export function usePage(): Page | undefined {
  return useEditorState((state) => state.docs.pages[state.pageId])
}

/** The documents as they are looked at: in the light edition, or after dark. */
export function useShownDocs(): SiteDocs {
  const docs = useEditorState((state) => state.docs)
  const dark = useEditorState(isAfterDark)
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
