import type { ChangesSince, LoadedPage, LoadedSite } from '../payloads'
import { siteDocs, withRecord, type PageId, type SiteDocs } from '../site'
import { looksOf, mergeLooks, type Look } from '../uses'
import { absorb } from './absorb'
import type { ClashWatch } from './clash-watch'
import type { Layers } from './layers'
import type { SyncState } from './state'
import type { Held } from './store'
import type { SiteTransport } from './transport'

/** Where this window stands towards the server: what it has at hand, and of which revision. */
export interface Standing {
  /** Follows what the server tells; asks for what is missing. False where the state could not be had. */
  readonly follow: (told: ChangesSince) => Promise<boolean>
  /** Asks what happened since; where it is known up to which revision at least, no oftener than it takes to get there. */
  readonly catchUp: (to?: number) => Promise<boolean>
  readonly loadPage: (page: PageId) => ReturnType<SiteTransport['loadPage']>
  /** Pages that nobody looks at any more are at hand no longer, but for those that something unsent is about. */
  readonly letGo: (pages: readonly PageId[]) => void
}

interface StandingNeeds {
  readonly held: Held<SyncState>
  readonly transport: SiteTransport
  readonly watch: ClashWatch
  readonly layers: Layers
}

const negative = (looks: readonly Look[]): Look[] =>
  looks.map((look) => ({ ...look, count: -look.count }))

const looksAtHand = ({ pages }: SiteDocs) =>
  Object.values(pages).flatMap(({ body }) => looksOf(body))

/** The state at hand, of what was loaded anew. */
function docsOf({ frame, pictures, fonts }: LoadedSite, pages: readonly LoadedPage[]): SiteDocs {
  const docs = siteDocs(
    frame,
    pages.map(({ page }) => page),
  )
  const shown = pages.map(({ pictures: own }) => own)
  return { ...docs, fonts, pictures: Object.assign({}, pictures, ...shown) as SiteDocs['pictures'] }
}

export function createStanding(needs: StandingNeeds): Standing {
  const { held, transport, watch, layers } = needs
  const { getState, setState } = held
  const heldPages = () => Object.keys(layers.stored().pages)

  /** Counts what is not at hand, of a count over all. */
  function count(pageCount: number, looks: readonly Look[]): void {
    const otherLooks = mergeLooks(looks, negative(looksAtHand(layers.stored())))
    setState({ pageCount, otherLooks, pagesGeneration: getState().pagesGeneration + 1 })
  }

  /** Loads everything that is at hand anew. */
  async function reload(): Promise<boolean> {
    const fresh = await transport.loadSite()
    if (!fresh.ok) return false
    const loaded = await Promise.all(heldPages().map((id) => transport.loadPage(id)))
    const isAway = loaded.some((each) => !each.ok && each.problem.code !== 'not-found')
    if (isAway) return false
    const pages = loaded.flatMap((each) => (each.ok ? [each.value] : []))
    const { revision, pageCount, looks } = fresh.value
    if (pages.some((each) => each.revision !== revision)) return reload()
    setState({ revision, generation: getState().generation + 1 })
    layers.stands({ undo: fresh.value.undo, redo: fresh.value.redo })
    layers.relayOn(docsOf(fresh.value, pages))
    count(pageCount, looks)
    return true
  }

  /** Counts over the pages that are not at hand, asked anew. */
  async function recount(): Promise<void> {
    const counted = await transport.counts()
    if (!counted.ok || counted.value.revision < getState().revision) return
    count(counted.value.pageCount, counted.value.looks)
  }

  function take(told: ChangesSince): boolean {
    const before = getState().revision
    const taken = absorb(layers.stored(), before, layers.laid(), told.entries)
    if (!taken || taken.revision < told.revision) return false
    const { revision } = told
    if (revision > before) {
      setState({ revision, generation: getState().generation + 1 })
      layers.stands({ undo: told.undo, redo: told.redo })
    }
    layers.tellClashes(taken.behind.flatMap(({ clientId, on }) => watch.replayed(clientId, on)))
    layers.settle(taken)
    if (taken.changedPages) setState({ pagesGeneration: getState().pagesGeneration + 1 })
    if (taken.changedOthers) void recount()
    return true
  }

  async function follow(told: ChangesSince): Promise<boolean> {
    if (told.revision <= getState().revision) return true
    if (!told.far && take(told)) return true
    return catchUp(told.revision)
  }

  /** Asking what happened, as long as that is under way. */
  let asking: Promise<boolean> | undefined

  /** Who hears of one revision in several ways asks once. */
  async function catchUp(to = Infinity): Promise<boolean> {
    while (asking) {
      const isHere = await asking
      if (isHere && getState().revision >= to) return true
    }
    asking = askSince().finally(() => (asking = undefined))
    return asking
  }

  async function askSince(): Promise<boolean> {
    const told = await transport.changes(getState().revision, heldPages())
    if (!told.ok) return false
    if (told.value.revision <= getState().revision) return true
    if (!told.value.far && take(told.value)) return true
    return reload()
  }

  async function loadPage(id: PageId): ReturnType<SiteTransport['loadPage']> {
    const loaded = await transport.loadPage(id)
    if (!loaded.ok || layers.stored().pages[id]) return loaded
    const { page, pictures, revision } = loaded.value
    // A page of another revision than the rest is only taken once the rest has come there.
    if (revision > getState().revision && !(await catchUp(revision))) return loaded
    if (revision < getState().revision) return loadPage(id)
    const docs = withRecord(layers.stored(), { kind: 'page', id }, page)
    setState({ otherLooks: mergeLooks(getState().otherLooks, negative(looksOf(page.body))) })
    layers.relayOn({ ...docs, pictures: { ...docs.pictures, ...pictures } })
    return loaded
  }

  function letGo(pages: readonly PageId[]): void {
    const unsent = new Set(layers.laid().flatMap(({ changes }) => changes.map(({ id }) => id)))
    for (const id of pages) {
      const page = layers.stored().pages[id]
      if (!page || unsent.has(id)) continue
      setState({ otherLooks: mergeLooks(getState().otherLooks, looksOf(page.body)) })
      layers.relayOn(withRecord(layers.stored(), { kind: 'page', id }, undefined))
    }
  }

  return { follow, catchUp, loadPage, letGo }
}
