import { createStore } from 'zustand/vanilla'
import { applyEdit, describeEdit, type Edit, type EditProblem } from '@/core/edit'
import type { LoadedSite, PageEntry, Problem, Result, Saved } from '@/core/payloads'
import type { Page, PageId, SiteDocs } from '@/core/site'
import { summarize } from '@/core/uses'
import { problemWords } from '../words'
import { createClashWatch, type Clash, type ClashWatch } from './clashes'
import { siteClient, type PendingEdit } from './client'
import type { Editor, EditorState, LostEdit } from './state'

const RETRY = [1000, 2000, 4000, 8000]

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
    } else lost.push({ told: describeEdit(each.edit, current), problem: result.problem })
  }
  return { docs: current, kept, lost, clashes }
}

export function createEditor(site: LoadedSite, firstPage: Page): Editor {
  const client = siteClient(site.id)
  const keptUnder = `easel.pending.${site.id}`
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
  let flushing: Promise<void> | undefined
  let failures = 0
  let retry: ReturnType<typeof setTimeout> | undefined

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

  function setPending(pending: readonly PendingEdit[]): void {
    setState({ pending })
    try {
      if (pending.length) sessionStorage.setItem(keptUnder, JSON.stringify(pending))
      else sessionStorage.removeItem(keptUnder)
    } catch {
      // Without session storage the edits still live in memory.
    }
  }

  function takeSaved(saved: Saved): void {
    setState({ ...saved, generation: getState().generation + 1 })
  }

  /** Loads the newest state and applies what is pending on top of it. */
  async function reload(drop: readonly string[] = []): Promise<boolean> {
    const { pageId, pending, docs: before } = getState()
    const fresh = await client.loadSite()
    if (!fresh.ok) return false
    const { frame, pages, assets, revision, canUndo, canRedo } = fresh.value
    // What is not stored yet may reach into any page that is at hand.
    const needed = pages.filter(({ id }) => id === pageId || (pending.length && before.pages[id]))
    const loaded = await Promise.all(needed.map(({ id }) => client.loadPage(id)))
    const found = loaded.flatMap((each) => (each.ok ? [each.value] : []))
    if (found.length < loaded.length) return false
    if (found.some((each) => each.revision !== revision)) return reload(drop)
    const base: SiteDocs = {
      frame,
      pages: Object.fromEntries(found.map(({ page }) => [page.id, page])),
    }
    const unsent = getState().pending
    const wanted = unsent.filter(({ clientId }) => !drop.includes(clientId))
    const { docs, kept, lost, clashes } = replay(base, wanted, watch)
    const idsOf = (edits: readonly PendingEdit[]) => edits.map(({ clientId }) => clientId)
    watch.drop(idsOf(unsent.filter((each) => !kept.includes(each))))
    const all = [...clashes, ...watch.changedSince(docs, idsOf(kept))]
    setState({ pages, assets, revision, canUndo, canRedo, generation: getState().generation + 1 })
    setDocs(docs)
    setPending(kept)
    if (lost.length) setState({ lost: [...getState().lost, ...lost] })
    if (all.length) setState({ clashes: [...getState().clashes, ...all] })
    return true
  }

  function waitAndRetry(): void {
    setState({ saveState: 'waiting' })
    clearTimeout(retry)
    retry = setTimeout(() => void flush(), RETRY[Math.min(failures, RETRY.length - 1)])
    failures += 1
  }

  async function sendOnce(): Promise<boolean> {
    const { pending, revision } = getState()
    const batch = pending.slice(0, 50)
    const sent = await client.save(revision, batch)
    if (sent.ok) {
      failures = 0
      const gone = new Set(batch.map(({ clientId }) => clientId))
      setPending(getState().pending.filter(({ clientId }) => !gone.has(clientId)))
      takeSaved(sent.value)
      return true
    }
    const { problem } = sent
    if (problem.code === 'stale') return reload()
    if (problem.code === 'edit-refused') {
      const refusedEdit = batch.find(({ clientId }) => clientId === problem.clientId)
      const told = refusedEdit ? describeEdit(refusedEdit.edit, getState().docs) : 'A change'
      setState({ lost: [...getState().lost, { told, problem: problem.problem }] })
      return reload([problem.clientId])
    }
    if (
      problem.code === 'invalid' ||
      problem.code === 'forbidden' ||
      problem.code === 'not-found'
    ) {
      console.error(problemWords(problem))
      return reload(batch.map(({ clientId }) => clientId))
    }
    return false
  }

  async function flushAll(): Promise<void> {
    while (getState().pending.length) {
      setState({ saveState: 'saving' })
      if (!(await sendOnce())) return waitAndRetry()
    }
    setState({ saveState: 'saved' })
  }

  function flush(): Promise<void> {
    flushing ??= flushAll().finally(() => {
      flushing = undefined
    })
    return flushing
  }

  function dispatch(edit: Edit): EditProblem | undefined {
    const { docs, pending } = getState()
    const result = applyEdit(docs, edit)
    if (!result.ok) return result.problem
    if (result.patches.length === 0) return undefined
    const clientId = crypto.randomUUID()
    watch.remember(clientId, describeEdit(edit, result.docs), docs, result.patches)
    setDocs(result.docs)
    setState({ canUndo: true, canRedo: false })
    setPending([...pending, { clientId, edit }])
    void flush()
    return undefined
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

  async function openPage(pageId: PageId): Promise<void> {
    if (!getState().docs.pages[pageId]) {
      const loaded = await client.loadPage(pageId)
      if (!loaded.ok) return
      const { docs, revision } = getState()
      setDocs({ ...docs, pages: { ...docs.pages, [pageId]: loaded.value.page } })
      if (loaded.value.revision !== revision && getState().pending.length === 0) {
        setState({ pageId, selection: undefined })
        await reload()
        return
      }
    }
    setState({ pageId, selection: undefined })
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
    if (typeof sessionStorage === 'undefined') return
    const text = sessionStorage.getItem(keptUnder)
    if (!text) return
    try {
      const unsent = JSON.parse(text) as PendingEdit[]
      const { docs, kept, lost } = replay(getState().docs, unsent, watch)
      setDocs(docs)
      setState({ lost })
      setPending(kept)
      void flush()
    } catch {
      sessionStorage.removeItem(keptUnder)
    }
  }
  return {
    store,
    resume,
    client,
    dispatch,
    openPage,
    needPages,
    step,
    onServer,
    catchUp,
    dismissLost: () => setState({ lost: [], clashes: [] }),
  }
}
