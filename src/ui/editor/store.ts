import { createStore } from 'zustand/vanilla'
import { applyEdit, checkEdit, describeEdit, type EditProblem } from '@/core/edit'
import type { LoadedSite, PageEntry, Problem, Result } from '@/core/payloads'
import type { Page, PageId, SiteDocs } from '@/core/site'
import { summarize } from '@/core/uses'
import { createClashWatch, type Clash, type ClashWatch } from './clashes'
import { siteClient, type PendingEdit } from './client'
import type { Editor, EditorState, LostEdit } from './state'
import { createSending, idsOf, lostEdit, tellLost } from './sending'
import { isSendable } from './unsent'

function summaryOf(entry: PageEntry, page: Page | undefined): PageEntry {
  return page ? { ...entry, summary: summarize(page.body) } : entry
}

/** Applies edits one by one; those that no longer fit, or lie over what somebody else did, are told. */
function replay(docs: SiteDocs, pending: readonly PendingEdit[], watch: ClashWatch) {
  const kept: PendingEdit[] = []
  const lost: LostEdit[] = []
  const clashes: Clash[] = []
  let current = docs
  for (const each of pending) {
    const result = applyEdit(current, each.edit)
    if (result.ok) {
      clashes.push(...watch.replayed(each.clientId, current))
      current = result.docs
      kept.push(each)
    } else lost.push(lostEdit(each, refusal(result.problem)))
  }
  return { docs: current, kept, lost, clashes }
}

const refusal = (problem: EditProblem): Problem => ({ code: 'edit-refused', problem, clientId: '' })

export function createEditor(site: LoadedSite, firstPage: Page): Editor {
  const client = siteClient(site.id)
  const store = createStore<EditorState>(() => ({
    siteId: site.id,
    docs: { frame: site.frame, pages: { [firstPage.id]: firstPage } },
    pages: site.pages,
    assets: site.assets,
    revision: site.revision,
    canUndo: site.canUndo,
    canRedo: site.canRedo,
    pending: [],
    saveState: 'saved',
    lost: [],
    clashes: [],
    pageId: firstPage.id,
    width: 'desktop',
    middle: 'page',
    afterDark: false,
    generation: 0,
  }))
  const { getState, setState } = store
  const watch = createClashWatch()
  const sending = createSending({ store, client, watch, reload })
  const { setPending, flush } = sending

  function setDocs(docs: SiteDocs): void {
    const before = getState()
    const isSame = ({ id }: PageEntry) => docs.pages[id] === before.docs.pages[id]
    const pages = before.pages.every(isSame)
      ? before.pages
      : before.pages.map((entry) =>
          isSame(entry) ? entry : summaryOf(entry, docs.pages[entry.id]),
        )
    setState({ docs, pages })
  }

  /** Loads the newest state and applies what is pending on top of it. */
  async function reload(): Promise<boolean> {
    const { pageId, pending, docs: before } = getState()
    const fresh = await client.loadSite()
    if (!fresh.ok) return false
    const { frame, pages, assets, revision, canUndo, canRedo } = fresh.value
    // What is not stored yet may reach into any page that is at hand.
    const needed = pages.filter(({ id }) => id === pageId || (pending.length && before.pages[id]))
    const loaded = await Promise.all(needed.map(({ id }) => client.loadPage(id)))
    const found = loaded.flatMap((each) => (each.ok ? [each.value] : []))
    if (found.length < loaded.length) return false
    if (found.some((each) => each.revision !== revision)) return reload()
    const base: SiteDocs = {
      frame,
      pages: Object.fromEntries(found.map(({ page }) => [page.id, page])),
    }
    const wanted = getState().pending
    const { docs, kept, lost, clashes } = replay(base, wanted, watch)
    watch.drop(idsOf(wanted.filter((each) => !kept.includes(each))))
    const all = [...clashes, ...watch.changedSince(docs, idsOf(kept))]
    setState({ pages, assets, revision, canUndo, canRedo, generation: getState().generation + 1 })
    setDocs(docs)
    setPending(kept)
    sending.caughtUp()
    tellLost(store, lost)
    if (all.length) setState({ clashes: [...getState().clashes, ...all] })
    return true
  }

  /** Carries an edit out here and sends it; gives what is wrong with it, and then nothing is changed. */
  function attempt(edit: Edit): Problem | undefined {
    const { docs, pending } = getState()
    const checked = checkEdit(edit)
    if (!checked.ok) return { code: 'invalid', where: checked.where, what: checked.what }
    if (!isSendable(edit)) return { code: 'too-large' }
    const result = applyEdit(docs, edit)
    if (!result.ok) return refusal(result.problem)
    if (result.patches.length === 0) return undefined
    const clientId = crypto.randomUUID()
    const told = describeEdit(edit, docs)
    watch.remember(clientId, told, docs, result.patches)
    setDocs(result.docs)
    setState({ canUndo: true, canRedo: false })
    setPending([...pending, { clientId, edit, told }])
    void flush()
    return undefined
  }

  function dispatch(edit: Edit): EditProblem | undefined {
    const problem = attempt(edit)
    if (!problem) return undefined
    if (problem.code === 'edit-refused') return problem.problem
    return problem.code === 'too-large' ? 'too-much' : 'malformed'
  }

  function carryOut(edit: Edit): boolean {
    const problem = attempt(edit)
    if (problem) tellLost(store, [{ told: describeEdit(edit, getState().docs), problem }])
    return !problem
  }

  /** One after the other: each needs the revision that the one before it left. */
  let inTurn: Promise<unknown> = Promise.resolve()
  function onServer<T>(work: (base: number) => Promise<Result<T>>): Promise<Result<T>> {
    const turn = inTurn.then(() => runOnServer(work))
    inTurn = turn.catch(() => undefined)
    return turn
  }

  async function runOnServer<T>(work: (base: number) => Promise<Result<T>>): Promise<Result<T>> {
    await flush()
    if (getState().pending.length) return { ok: false, problem: { code: 'database-away' } }
    const result = await work(getState().revision)
    watch.forget()
    if (result.ok || result.problem.code === 'stale') await reload()
    return result
  }

  async function step(kind: 'undo' | 'redo'): Promise<Problem | undefined> {
    const result = await onServer((base) => client.step(kind, base))
    return result.ok ? undefined : result.problem
  }

  async function openPage(pageId: PageId): Promise<Problem | undefined> {
    if (!getState().docs.pages[pageId]) {
      const loaded = await client.loadPage(pageId)
      if (!loaded.ok) return loaded.problem
      const { docs, revision } = getState()
      setDocs({ ...docs, pages: { ...docs.pages, [pageId]: loaded.value.page } })
      if (loaded.value.revision !== revision && getState().pending.length === 0) {
        setState({ pageId, selection: undefined })
        await reload()
        return undefined
      }
    }
    setState({ pageId, selection: undefined })
    return undefined
  }

  async function needPages(pages: readonly PageId[]): Promise<boolean> {
    const missing = pages.filter((id) => !getState().docs.pages[id])
    const loaded = await Promise.all(missing.map((id) => client.loadPage(id)))
    const found = loaded.flatMap((result) => (result.ok ? [result.value.page] : []))
    const { docs } = getState()
    setDocs({
      ...docs,
      pages: { ...docs.pages, ...Object.fromEntries(found.map((page) => [page.id, page])) },
    })
    return found.length === missing.length
  }

  async function catchUp(): Promise<void> {
    if (getState().pending.length) return flush()
    const fresh = await client.loadSite()
    if (fresh.ok && fresh.value.revision > getState().revision) await reload()
  }

  /** What a reload of the window left unsent is sent now. */
  function resume(): void {
    const left = sending.left()
    if (left === 'broken') {
      setPending([])
      tellLost(store, [
        { told: 'What this window had not sent before', problem: { code: 'unreadable' } },
      ])
      return
    }
    if (left.length === 0) return
    const { docs, kept, lost } = replay(getState().docs, left, watch)
    setDocs(docs)
    tellLost(store, lost)
    setPending(kept)
    void flush()
  }

  return {
    store,
    resume,
    client,
    dispatch,
    carryOut,
    openPage,
    needPages,
    step,
    onServer,
    catchUp,
    dismissLost: () => setState({ lost: [], clashes: [] }),
  }
}
