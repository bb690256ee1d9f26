import { applyEdit, checkEdit, describeEdit, type Edit, type EditProblem } from '../edit'
import {
  refused,
  type JobResult,
  type LiveNews,
  type LoadedPage,
  type LoadedSite,
  type Problem,
  type Result,
} from '../payloads'
import { siteDocs, type PageId } from '../site'
import { looksOf, mergeLooks } from '../uses'
import type { WideIntent } from '../wide'
import { isSendable, readUnsent } from './batch'
import { createClashWatch } from './clash-watch'
import { lostEdit, refusal } from './replay'
import { createFollowing } from './following'
import { createSending } from './sending'
import { createStanding } from './standing'
import { hold } from './store'
import type { SyncState } from './state'
import type { PendingEdit, SiteTransport, Surroundings } from './transport'

/** A site kept in step with the server: edits show at once and are stored behind, what others do is followed. */
export interface SiteSync {
  readonly getState: () => SyncState
  readonly subscribe: (listener: () => void) => () => void
  /** Carries an edit out at once; it is stored in the background. Gives what is wrong, which the caller tells. */
  readonly dispatch: (edit: Edit) => EditProblem | undefined
  /** The same, and tells by itself what could not be done; false then. */
  readonly carryOut: (edit: Edit) => boolean
  /** Has a page at hand; gives why it cannot be. Of many pages, those asked for last stay at hand. */
  readonly holdPage: (page: PageId) => Promise<Problem | undefined>
  readonly step: (kind: 'undo' | 'redo') => Promise<Problem | undefined>
  /** Carries a wide edit out where the index is; ends once it is stored and seen here. */
  readonly wide: (intent: WideIntent) => Promise<Result<JobResult>>
  readonly publish: () => Promise<Result<JobResult>>
  /** Breaks long work off. */
  readonly cancel: (job: string) => Promise<Problem | undefined>
  /** Runs something on the server that needs every edit of ours stored first. */
  readonly onServer: <T>(work: (base: number) => Promise<Result<T>>) => Promise<Result<T>>
  /** Takes in what the server tells by itself. */
  readonly hear: (news: LiveNews) => void
  /** Asks what happened meanwhile, and sends what waits. */
  readonly catchUp: () => Promise<void>
  readonly dismissLost: () => void
  /** Sends what a reload of the window left unsent. */
  readonly resume: () => void
  readonly stop: () => void
}

function firstState(site: LoadedSite, { page, pictures }: LoadedPage): SyncState {
  const docs = siteDocs(site.frame, [page])
  const own = looksOf(page.body).map((look) => ({ ...look, count: -look.count }))
  return {
    siteId: site.id,
    docs: { ...docs, pictures: { ...site.pictures, ...pictures } },
    revision: site.revision,
    canUndo: site.canUndo,
    canRedo: site.canRedo,
    pageCount: site.pageCount,
    otherLooks: mergeLooks(site.looks, own),
    pending: [],
    saveState: 'saved',
    lost: [],
    clashes: [],
    present: [],
    jobs: [],
    generation: 0,
    pagesGeneration: 0,
  }
}

/** Pages that are at hand at the same time. */
const MOST_HELD = 12

export function createSync(
  site: LoadedSite,
  firstPage: LoadedPage,
  transport: SiteTransport,
  surroundings: Surroundings,
): SiteSync {
  const { after, newId, keepUnsent } = surroundings
  const held = hold<SyncState>(firstState(site, firstPage))
  const { getState, setState, subscribe } = held
  const watch = createClashWatch()
  const keep = (pending: readonly PendingEdit[]) =>
    keepUnsent(pending.length ? JSON.stringify(pending) : null)
  const standing = createStanding({ held, transport, watch, first: getState().docs, keep })
  const sending = createSending({ held, transport, standing, after })
  /** The pages that were asked for, the last one at the end. */
  let asked: readonly PageId[] = [firstPage.page.id]
  /** The newest revision that was heard of. */
  let heard = site.revision

  /** Sends what waits; then follows what was heard of meanwhile and did not come with an answer. */
  async function flush(): Promise<void> {
    await sending.flush()
    if (heard > getState().revision) await standing.catchUp()
  }

  /** Carries an edit out here and sends it; gives what is wrong with it, and then nothing is changed. */
  function attempt(edit: Edit): Problem | undefined {
    const { docs } = getState()
    const checked = checkEdit(edit)
    if (!checked.ok) return { code: 'invalid', where: checked.where, what: checked.what }
    if (!isSendable(edit)) return { code: 'too-large' }
    const result = applyEdit(docs, edit)
    if (!result.ok) return refusal(result.problem)
    if (result.changes.length === 0) return undefined
    const clientId = newId()
    const told = describeEdit(edit, docs)
    watch.remember(clientId, told, docs, result.changes)
    standing.lay({ clientId, edit, told, changes: result.changes, after: result.docs })
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
    if (problem) {
      const told = describeEdit(edit, getState().docs)
      setState({ lost: [...getState().lost, lostEdit({ clientId: '', edit, told }, problem)] })
    }
    return !problem
  }

  /** One after the other: each needs the revision that the one before it left. */
  let inTurn: Promise<unknown> = Promise.resolve()
  function onServer<T>(work: (base: number) => Promise<Result<T>>): Promise<Result<T>> {
    const turn = inTurn.then(async () => {
      await flush()
      if (getState().pending.length) return refused({ code: 'database-away' })
      const result = await work(getState().revision)
      if (!result.ok && result.problem.code === 'stale') await standing.catchUp()
      return result
    })
    inTurn = turn.catch(() => undefined)
    return turn
  }

  const { note, outcome } = createFollowing({ held, transport, after, catchUp: standing.catchUp })

  async function step(kind: 'undo' | 'redo'): Promise<Problem | undefined> {
    const result = await onServer<unknown>(async (base) => {
      const stepped = await transport.step(kind, base)
      if (!stepped.ok) return stepped
      // What we put no longer counts as ours where we took it back ourselves.
      watch.forget()
      if ('job' in stepped.value) return outcome({ ok: true, value: stepped.value.job })
      await standing.follow(stepped.value)
      return stepped
    })
    return result.ok ? undefined : result.problem
  }

  return {
    getState,
    subscribe,
    dispatch,
    carryOut,
    step,
    onServer,
    wide: (intent) =>
      onServer(async () => {
        watch.forget()
        return outcome(await transport.wide('any', intent))
      }),
    publish: () => onServer(async () => outcome(await transport.publish())),
    async cancel(job) {
      const result = await transport.cancel(job)
      return result.ok ? undefined : result.problem
    },
    async holdPage(page) {
      if (!getState().docs.pages[page]) {
        const loaded = await standing.loadPage(page)
        if (!loaded.ok) return loaded.problem
      }
      asked = [...asked.filter((id) => id !== page), page]
      standing.letGo(asked.slice(0, -MOST_HELD))
      asked = asked.slice(-MOST_HELD)
      return undefined
    },
    hear(news) {
      if (news.what === 'present') setState({ present: news.windows })
      else if (news.what === 'job') note(news.job)
      else {
        heard = Math.max(heard, news.revision)
        // While something is being sent, its answer brings the rest.
        if (getState().saveState !== 'saving') void standing.follow(news)
      }
    },
    async catchUp() {
      if (getState().pending.length) return flush()
      await standing.catchUp()
    },
    dismissLost: () => setState({ lost: [], clashes: [] }),
    resume() {
      const left = readUnsent(surroundings.readUnsent())
      if (left === 'broken') {
        keepUnsent(null)
        const told = 'What this window had not sent before'
        setState({ lost: [...getState().lost, { told, problem: { code: 'unreadable' } }] })
      } else if (left.length) {
        standing.relay(left)
        void flush()
      }
    },
    stop: sending.stop,
  }
}
