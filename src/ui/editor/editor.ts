import { createStore } from 'zustand/vanilla'
import type { LoadedPage, LoadedSite, Problem } from '@/core/payloads'
import type { PageId } from '@/core/site'
import { createSync, type Surroundings } from '@/core/sync'
import { keepText, keptText } from '../browser-storage'
import { siteClient, siteTransport } from './client'
import { createPageList } from './page-list'
import { rememberViews } from './remember-views'
import { isSameThing, type Editor, type EditorState, type ViewState } from './state'

/** What a window has not sent is kept beyond a reload of it. Where the browser keeps nothing, it lives in memory alone. */
function surroundingsOf(siteId: string): Surroundings {
  const key = `easel.pending.${siteId}`
  return {
    after(milliseconds, work) {
      const timer = setTimeout(work, milliseconds)
      return () => clearTimeout(timer)
    },
    newId: () => crypto.randomUUID(),
    // Where that is refused the edits still live in memory, and leaving the window asks first.
    keepUnsent: (text) => void keepText('this-window', key, text),
    readUnsent: () => keptText('this-window', key),
  }
}

/** What is chosen anew is chosen alone, and looked at at rest. */
function forChosen({ selection }: ViewState, next: Partial<ViewState>): Partial<ViewState> {
  if (!('selection' in next) || isSameThing(selection, next.selection)) return next
  return { also: undefined, state: undefined, ...next }
}

/** One window on a site: the site, kept in step with the server, and what the window shows of it. */
export function createEditor(site: LoadedSite, firstPage: LoadedPage): Editor {
  const client = siteClient(site.id)
  const sync = createSync(site, firstPage, siteTransport(site.id), surroundingsOf(site.id))
  const view: ViewState = {
    pageId: firstPage.page.id,
    width: 'desktop',
    middle: 'page',
    moving: 0,
    looksPane: 'shapes',
    sheetRows: 'used',
    sweepFrom: [],
    goAlong: true,
    chipNames: false,
    afterDark: false,
  }
  const store = createStore<EditorState>(() => ({ ...sync.getState(), ...view }))
  const pages = createPageList(client, site.pageCount)
  const show = (next: Partial<ViewState>) => store.setState(forChosen(store.getState(), next))

  async function openPage(pageId: PageId): Promise<Problem | undefined> {
    const problem = await sync.holdPage(pageId)
    if (!problem) show({ pageId, selection: undefined, words: undefined })
    return problem
  }

  /** The page that is shown was taken away by somebody: the first one is shown instead. */
  async function leaveLostPage(): Promise<void> {
    const first = await client.pages(0, 1)
    const [page] = first.ok ? first.value.pages : []
    if (page) await openPage(page.id)
  }

  let { pagesGeneration } = sync.getState()
  let isLeaving = false
  sync.subscribe(() => {
    const state = sync.getState()
    store.setState(state)
    if (state.pagesGeneration !== pagesGeneration) {
      pagesGeneration = state.pagesGeneration
      pages.renew(state.pageCount)
    }
    if (state.docs.pages[store.getState().pageId] || isLeaving) return
    isLeaving = true
    void leaveLostPage().finally(() => {
      isLeaving = false
    })
  })

  const deeds = rememberViews(sync, store, async ({ pageId, selection }) => {
    if (pageId !== store.getState().pageId && (await openPage(pageId))) return
    show({ selection, words: undefined })
  })

  return {
    ...sync,
    ...deeds,
    store,
    client,
    pages,
    window: crypto.randomUUID(),
    show,
    openPage,
  }
}
