import type { ChangesSince, Result } from '../payloads'
import { siteDocs, withRecord, type PageId, type SiteDocs } from '../site'
import { looksOf, mergeLooks, type Look } from '../uses'
import { absorb } from './absorb'
import type { Clash, ClashWatch } from './clash-watch'
import { replay, type Laid } from './replay'
import type { LostEdit, SyncState } from './state'
import type { Held } from './store'
import type { PendingEdit, SiteTransport } from './transport'

/** The stored state as this window knows it, and what lies on it that is not stored yet. */
export interface Standing {
  readonly stored: () => SiteDocs
  readonly laid: () => readonly Laid[]
  /** Puts an edit of ours on top. */
  readonly lay: (edit: Laid) => void
  /** Takes edits back that will not be stored; what lies on them is made anew. */
  readonly takeBack: (clientIds: readonly string[]) => void
  /** Edits that are stored, and that the stored state here holds: they wait no longer. */
  readonly landed: (clientIds: readonly string[]) => void
  /** Follows what the server tells; asks for what is missing. False where the state could not be had. */
  readonly follow: (told: ChangesSince) => Promise<boolean>
  /** Asks what happened since. */
  readonly catchUp: () => Promise<boolean>
  readonly loadPage: (page: PageId) => ReturnType<SiteTransport['loadPage']>
  /** Pages that nobody looks at any more are at hand no longer, but for those that something unsent is about. */
  readonly letGo: (pages: readonly PageId[]) => void
  /** Lays what a reload of the window left unsent on the stored state. */
  readonly relay: (pending: readonly PendingEdit[]) => void
}

interface StandingNeeds {
  readonly held: Held<SyncState>
  readonly transport: SiteTransport
  readonly watch: ClashWatch
  readonly first: SiteDocs
  readonly keep: (pending: readonly PendingEdit[]) => void
}

const negative = (looks: readonly Look[]): Look[] =>
  looks.map((look) => ({ ...look, count: -look.count }))

const unlaid = ({ clientId, edit, told }: Laid): PendingEdit => ({
  clientId,
  edit,
  ...(told === undefined ? {} : { told }),
})

export function createStanding({ held, transport, watch, first, keep }: StandingNeeds): Standing {
  const { getState, setState } = held
  let stored = first
  let laid: readonly Laid[] = []

  function show(docs: SiteDocs): void {
    const pending = laid.map(unlaid)
    setState({ docs, pending })
    keep(pending)
  }

  function tellLost(lost: readonly LostEdit[]): void {
    if (lost.length) setState({ lost: [...getState().lost, ...lost] })
  }

  function tellClashes(clashes: readonly Clash[]): void {
    if (clashes.length) setState({ clashes: [...getState().clashes, ...clashes] })
  }

  /** Makes what waits anew on the stored state. */
  function relayAll(pending: readonly PendingEdit[]): void {
    const made = replay(stored, pending, watch)
    laid = made.laid
    const kept = new Set(laid.map(({ clientId }) => clientId))
    watch.drop(pending.flatMap(({ clientId }) => (kept.has(clientId) ? [] : [clientId])))
    show(made.docs)
    tellLost(made.lost)
    tellClashes([...made.clashes, ...watch.changedSince(made.docs, [...kept])])
  }

  const heldPages = () => Object.keys(stored.pages)

  /** Loads everything that is at hand anew. */
  async function reload(): Promise<boolean> {
    const fresh = await transport.loadSite()
    if (!fresh.ok) return false
    const { frame, pictures, revision, canUndo, canRedo, pageCount, looks } = fresh.value
    const loaded = await Promise.all(heldPages().map((id) => transport.loadPage(id)))
    const isAway = loaded.some((each) => !each.ok && each.problem.code !== 'not-found')
    if (isAway) return false
    const pages = loaded.flatMap((each) => (each.ok ? [each.value] : []))
    if (pages.some((each) => each.revision !== revision)) return reload()
    const shown = pages.map(({ pictures: own }) => own)
    const docs = siteDocs(
      frame,
      pages.map(({ page }) => page),
    )
    stored = { ...docs, pictures: Object.assign({}, pictures, ...shown) as SiteDocs['pictures'] }
    const own = pages.flatMap(({ page }) => looksOf(page.body))
    setState({
      revision,
      canUndo,
      canRedo,
      pageCount,
      otherLooks: mergeLooks(looks, negative(own)),
      generation: getState().generation + 1,
      pagesGeneration: getState().pagesGeneration + 1,
    })
    relayAll(laid)
    return true
  }

  /** Counts over the pages that are not at hand, asked anew. */
  async function recount(): Promise<void> {
    const counted = await transport.counts()
    if (!counted.ok || counted.value.revision < getState().revision) return
    const own = Object.values(stored.pages).flatMap((page) => looksOf(page.body))
    const { pageCount, looks } = counted.value
    setState({
      pageCount,
      otherLooks: mergeLooks(looks, negative(own)),
      pagesGeneration: getState().pagesGeneration + 1,
    })
  }

  function take(told: ChangesSince): boolean {
    const before = getState().revision
    const taken = absorb(stored, before, laid, told.entries)
    if (!taken || taken.revision < told.revision) return false
    stored = taken.stored
    const wasLaid = laid
    laid = taken.laid
    const { revision, canUndo, canRedo } = told
    if (revision > before) {
      const canUndoHere = canUndo || laid.length > 0
      setState({ revision, canUndo: canUndoHere, canRedo, generation: getState().generation + 1 })
    }
    tellClashes(taken.behind.flatMap(({ clientId, on }) => watch.replayed(clientId, on)))
    if (taken.isForeign) relayAll(laid)
    else if (wasLaid.length !== laid.length) show(laid.at(-1)?.after ?? stored)
    if (taken.changedPages) setState({ pagesGeneration: getState().pagesGeneration + 1 })
    if (taken.changedOthers) void recount()
    return true
  }

  async function follow(told: ChangesSince): Promise<boolean> {
    if (told.revision <= getState().revision) return true
    if (!told.far && take(told)) return true
    return catchUp()
  }

  async function catchUp(): Promise<boolean> {
    const told: Result<ChangesSince> = await transport.changes(getState().revision, heldPages())
    if (!told.ok) return false
    if (told.value.revision <= getState().revision) return true
    if (!told.value.far && take(told.value)) return true
    return reload()
  }

  async function loadPage(id: PageId): ReturnType<SiteTransport['loadPage']> {
    const loaded = await transport.loadPage(id)
    if (!loaded.ok || stored.pages[id]) return loaded
    const { page, pictures, revision } = loaded.value
    // A page of another revision than the rest is only taken once the rest has come there.
    if (revision > getState().revision && !(await catchUp())) return loaded
    if (revision < getState().revision) return loadPage(id)
    stored = withRecord(stored, { kind: 'page', id }, page)
    stored = { ...stored, pictures: { ...stored.pictures, ...pictures } }
    setState({ otherLooks: mergeLooks(getState().otherLooks, negative(looksOf(page.body))) })
    relayAll(laid)
    return loaded
  }

  return {
    stored: () => stored,
    laid: () => laid,
    lay(edit) {
      laid = [...laid, edit]
      setState({ canUndo: true, canRedo: false })
      show(edit.after)
    },
    takeBack(clientIds) {
      const gone = new Set(clientIds)
      watch.drop(clientIds)
      relayAll(laid.filter(({ clientId }) => !gone.has(clientId)))
    },
    landed(clientIds) {
      const gone = new Set(clientIds)
      const left = laid.filter(({ clientId }) => !gone.has(clientId))
      if (left.length < laid.length) relayAll(left)
    },
    follow,
    catchUp,
    loadPage,
    letGo(pages) {
      const unsent = new Set(laid.flatMap(({ changes }) => changes.map(({ id }) => id)))
      for (const id of pages) {
        const page = stored.pages[id]
        if (!page || unsent.has(id)) continue
        stored = withRecord(stored, { kind: 'page', id }, undefined)
        setState({ otherLooks: mergeLooks(getState().otherLooks, looksOf(page.body)) })
        relayAll(laid)
      }
    },
    relay: relayAll,
  }
}
