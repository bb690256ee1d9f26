'use client'

import { useDeferredValue, useMemo, useSyncExternalStore } from 'react'
import { afterDark, failingInSite } from '@/core/generate'
import type { PageBandsEntry } from '@/core/payloads'
import { spotsOnPage, type Spot } from '@/core/resolve'
import type { RoleId } from '@/core/roles'
import type { Body, Page, SiteDocs } from '@/core/site'
import { bandsOf, looksOf, reachOf, settingReachOf, type Look, type Reach } from '@/core/uses'
import { useEditor, useEditorState } from './context'
import type { PageList } from './page-list'
import { isAfterDark, type EditorState, type Selection } from './state'

const looksByBody = new WeakMap<Body, readonly Look[]>()

/** The looks of a body, read once as long as it stays as it is. */
function keptLooks(body: Body): readonly Look[] {
  const known = looksByBody.get(body)
  if (known) return known
  const looks = looksOf(body)
  looksByBody.set(body, looks)
  return looks
}

/** How many things are coloured alike over the whole site: what is at hand as it is here, the rest as it was counted. */
export const looksOfSite = ({ docs, otherLooks }: Pick<EditorState, 'docs' | 'otherLooks'>) => [
  ...keptLooks(docs.frame.body),
  ...Object.values(docs.pages).flatMap(({ body }) => keptLooks(body)),
  ...otherLooks,
]

/** How all things of the site look; followed after what was changed is drawn. */
export function useSiteLooks(): readonly Look[] {
  const docs = useDeferredValue(useEditorState((state) => state.docs))
  const otherLooks = useDeferredValue(useEditorState((state) => state.otherLooks))
  return useMemo(() => looksOfSite({ docs, otherLooks }), [docs, otherLooks])
}

/** How many painted things each slot and role reaches, over the whole site. What colour a slot has does not matter to that. */
function useReachOf(docs: SiteDocs, otherLooks: readonly Look[], themes: object): Reach {
  const { styles, body, palette } = docs.frame
  return useMemo(
    () => reachOf(docs.frame, looksOfSite({ docs, otherLooks })),
    // eslint-disable-next-line react-hooks/exhaustive-deps -- of the frame only these matter
    [themes, styles, body, palette.order, docs.pages, otherLooks],
  )
}

/** The reach of slots and roles; counted after what was changed is drawn. */
export function useReach(): Reach {
  const docs = useDeferredValue(useEditorState((state) => state.docs))
  const otherLooks = useDeferredValue(useEditorState((state) => state.otherLooks))
  return useReachOf(docs, otherLooks, docs.frame.themes)
}

/** How many things follow each site-wide setting; counted after what was changed is drawn. */
export function useSettingReach() {
  const docs = useDeferredValue(useEditorState((state) => state.docs))
  const otherLooks = useDeferredValue(useEditorState((state) => state.otherLooks))
  const { styles, body, settings } = docs.frame
  return useMemo(
    () => settingReachOf(docs.frame, looksOfSite({ docs, otherLooks })),
    // eslint-disable-next-line react-hooks/exhaustive-deps -- of the frame only these matter
    [styles, body, settings, docs.pages, otherLooks],
  )
}

/** What in the themes is hard to read, in either edition; found after what was changed is drawn. */
export function useFailing(): ReturnType<typeof failingInSite> {
  const frame = useDeferredValue(useEditorState((state) => state.docs.frame))
  const { palette, themes, edition } = frame
  return useMemo(
    () => failingInSite(frame),
    // eslint-disable-next-line react-hooks/exhaustive-deps -- of the frame only these matter
    [palette, themes, edition],
  )
}

/** The roles that anything on the site is coloured by. What a theme decides for them does not matter to that. */
export function useUsedRoles(): ReadonlySet<RoleId> {
  const docs = useEditorState((state) => state.docs)
  const otherLooks = useEditorState((state) => state.otherLooks)
  const { roles } = useReachOf(docs, otherLooks, docs.frame.themes.order)
  return useMemo(
    () => new Set(Object.keys(roles).map((key) => key.split('/')[1] as RoleId)),
    [roles],
  )
}

export function usePage(): Page | undefined {
  return useEditorState((state) => state.docs.pages[state.pageId])
}

/** The same for what stands beside the page: it follows once the page itself is drawn. */
export const useShownDocsBehind = (): SiteDocs => useDeferredValue(useShownDocs())

/** The documents as they are looked at: in the light edition or after dark, as they are or on trial. */
export function useShownDocs(): SiteDocs {
  const docs = useEditorState((state) => state.docs)
  const dark = useEditorState(isAfterDark)
  const trialFrame = useEditorState((state) => (state.trial ? state.outlook?.frame : undefined))
  return useMemo(() => {
    const frame = trialFrame ?? docs.frame
    return dark || trialFrame ? { ...docs, frame: dark ? afterDark(frame) : frame } : docs
  }, [docs, dark, trialFrame])
}

export function useSpots(): Spot[] {
  const docs = useShownDocs()
  const pageId = useEditorState((state) => state.pageId)
  return useMemo(() => spotsOnPage(docs, pageId), [docs, pageId])
}

export function spotOfSelection(spots: readonly Spot[], selection: Selection): Spot | undefined {
  return spots.find(({ doc, section }) => doc === selection.doc && section.id === selection.section)
}

const entries = new WeakMap<Page, PageBandsEntry>()

/** A page in small, as it is here; read once as long as it stays as it is. */
function entryOf(page: Page): PageBandsEntry {
  const known = entries.get(page)
  if (known) return known
  const { id, title, path, order, body } = page
  const entry = { id, title, path, order, bands: bandsOf(body) }
  entries.set(page, entry)
  return entry
}

/** The list of all pages, as far as it came into view; pages at hand as they are here. */
export function usePageList(): {
  readonly total: number
  readonly at: (index: number) => PageBandsEntry | undefined
  readonly need: PageList['need']
} {
  const { pages } = useEditor()
  const held = useEditorState((state) => state.docs.pages)
  const { total, known } = useSyncExternalStore(pages.subscribe, pages.getState, pages.getState)
  const at = (index: number) => {
    const entry = known.get(index)
    const own = entry && held[entry.id]
    return own ? entryOf(own) : entry
  }
  return { total, at, need: pages.need }
}

/** The page that is shown, in small. */
export function useShownPage(): PageBandsEntry | undefined {
  const page = usePage()
  return useMemo(() => page && entryOf(page), [page])
}
