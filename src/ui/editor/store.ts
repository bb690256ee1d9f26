import { createStore, type StoreApi } from 'zustand/vanilla'
import { applyEdit, describeEdit, type Edit, type EditProblem } from '@/core/edit'
import type { ReadProblem } from '@/core/formats'
import type { LoadedSite, PageEntry, Problem, Result, Saved } from '@/core/payloads'
import type {
  Assets,
  Candidate,
  DocId,
  ElementId,
  Page,
  PageId,
  SectionId,
  SiteDocs,
  SlotId,
  ThemeId,
} from '@/core/site'
import type { HarmonyId, HueFamily, Mood } from '@/core/palette'
import type { RoleId } from '@/core/theme'
import type { FoundColor } from '@/workers/picture.worker'
import { summarize } from '@/core/uses'
import { siteClient, type PendingEdit, type SiteClient } from './client'
import { problemWords } from '../words'

/** What is chosen on the stage: a section, or an element in it, and one of its colours. */
export interface Selection {
  readonly doc: DocId
  readonly section: SectionId
  readonly element?: ElementId
  readonly facet?: string
}

/** Where a trial comes from, with what that way in needs to go on. */
export type TrialWay =
  | {
      readonly way: 'list'
      readonly text: string
      readonly problems: readonly ReadProblem[]
    }
  | { readonly way: 'harmony'; readonly base: string; readonly harmony: HarmonyId }
  | {
      readonly way: 'reshuffle'
      readonly seeds: readonly number[]
      readonly at: number
      readonly locked: readonly SlotId[]
    }
  | {
      readonly way: 'picture'
      readonly url?: string
      readonly found: readonly FoundColor[]
      readonly count: number
    }
  | { readonly way: 'study'; readonly study: string }
  | {
      readonly way: 'ready'
      readonly name?: string
      readonly mood?: Mood
      readonly hue?: HueFamily
    }
  | { readonly way: 'grey' }
  | { readonly way: 'original' }

export interface Trial {
  readonly from: TrialWay
  readonly colors: readonly Candidate[]
  /** For each slot in the palette's order, the index of its colour; −1 leaves the slot as it is. */
  readonly given: readonly number[]
  /** Whether colours that no slot takes become new slots. */
  readonly addRest: boolean
  /** Whether slots take the names of their colours. */
  readonly takeNames: boolean
}

/** What stands in the middle of the view: the page, drawn things, or palettes side by side. */
export type Middle = 'page' | 'things' | 'side'

/** A block of the theme sheet: some roles in some themes; the first of each is where it began. */
export interface SheetCells {
  readonly roles: readonly RoleId[]
  readonly themes: readonly ThemeId[]
}

/** `waiting`: changes are kept here and are sent again by themselves. */
export type SaveState = 'saved' | 'saving' | 'waiting'

/** An edit that could not be kept when the site had changed under it. */
export interface LostEdit {
  readonly told: string
  readonly problem: EditProblem
}

export type DeviceWidth = 'desktop' | 'tablet' | 'phone'

export interface EditorState {
  readonly siteId: string
  readonly docs: SiteDocs
  readonly pages: readonly PageEntry[]
  readonly assets: Assets
  readonly revision: number
  readonly canUndo: boolean
  readonly canRedo: boolean
  readonly pending: readonly PendingEdit[]
  readonly saveState: SaveState
  readonly lost: readonly LostEdit[]
  readonly pageId: PageId
  readonly selection?: Selection
  /** The slot whose uses are outlined on the stage. */
  readonly shownSlot?: SlotId
  /** The slot whose editor is open in the tray. */
  readonly openSlot?: SlotId
  /** Where a slot that is dragged over the stage would land. */
  readonly dropTarget?: Selection
  /** The cells that are chosen on the theme sheet. */
  readonly sheetCells?: SheetCells
  /** A candidate palette that is shown on the stage and not yet applied. */
  readonly trial?: Trial
  readonly middle: Middle
  /** Where the page before is parted from the page after, 0…1 of its width; absent when only one is shown. */
  readonly divider?: number
  /** Whether the dark edition is shown and decided, rather than the light one. */
  readonly afterDark: boolean
  readonly width: DeviceWidth
  /** Counts every change of the stored state, so that views of it know when to ask anew. */
  readonly generation: number
}

export interface Editor {
  readonly store: StoreApi<EditorState>
  readonly client: SiteClient
  /** Carries an edit out at once; it is stored in the background. Returns what is wrong, if anything. */
  readonly dispatch: (edit: Edit) => EditProblem | undefined
  readonly openPage: (page: PageId) => Promise<void>
  /** Loads pages that edits will touch and that are not at hand. */
  readonly needPages: (pages: readonly PageId[]) => Promise<boolean>
  readonly step: (kind: 'undo' | 'redo') => Promise<Problem | undefined>
  /** Runs something on the server that needs every pending edit stored first, then loads what it left. */
  readonly onServer: <T>(work: (base: number) => Promise<Result<T>>) => Promise<Result<T>>
  /** Asks whether another window has changed the site, and follows. */
  readonly catchUp: () => Promise<void>
  readonly dismissLost: () => void
  /** Sends what a reload of the window left unsent. */
  readonly resume: () => void
}

const RETRY = [1000, 2000, 4000, 8000]

function summaryOf(entry: PageEntry, page: Page | undefined): PageEntry {
  return page ? { ...entry, summary: summarize(page.body) } : entry
}

/** Applies edits one by one; those that no longer fit are told. */
function replay(docs: SiteDocs, pending: readonly PendingEdit[]) {
  const kept: PendingEdit[] = []
  const lost: LostEdit[] = []
  let current = docs
  for (const each of pending) {
    const result = applyEdit(current, each.edit)
    if (result.ok) {
      current = result.docs
      kept.push(each)
    } else lost.push({ told: describeEdit(each.edit, current), problem: result.problem })
  }
  return { docs: current, kept, lost }
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
    pageId: firstPage.id,
    width: 'desktop',
    middle: 'page',
    afterDark: false,
    generation: 0,
  }))
  const { getState, setState } = store
  let flushing: Promise<void> | undefined
  let failures = 0
  let retry: ReturnType<typeof setTimeout> | undefined

  function setDocs(docs: SiteDocs): void {
    const pages = getState().pages.map((entry) =>
      docs.pages[entry.id] === getState().docs.pages[entry.id]
        ? entry
        : summaryOf(entry, docs.pages[entry.id]),
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
    const { pageId } = getState()
    const fresh = await client.loadSite()
    if (!fresh.ok) return false
    const loaded = await client.loadPage(pageId)
    if (!loaded.ok) return false
    if (loaded.value.revision !== fresh.value.revision) return reload(drop)
    const { frame, pages, assets, revision, canUndo, canRedo } = fresh.value
    const base: SiteDocs = { frame, pages: { [pageId]: loaded.value.page } }
    const wanted = getState().pending.filter(({ clientId }) => !drop.includes(clientId))
    const { docs, kept, lost } = replay(base, wanted)
    setState({ pages, assets, revision, canUndo, canRedo, generation: getState().generation + 1 })
    setDocs(docs)
    setPending(kept)
    if (lost.length) setState({ lost: [...getState().lost, ...lost] })
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
    setDocs(result.docs)
    setState({ canUndo: true, canRedo: false })
    setPending([...pending, { clientId: crypto.randomUUID(), edit }])
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
      const { docs, kept, lost } = replay(getState().docs, JSON.parse(text) as PendingEdit[])
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
    dismissLost: () => setState({ lost: [] }),
  }
}
