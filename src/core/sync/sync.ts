import type { Edit, EditProblem } from '../edit'
import type { JobResult, LiveNews, LoadedPage, LoadedSite, Problem, Result } from '../payloads'
import { siteDocs, type PageId, type Pictures } from '../site'
import { looksOf, mergeLooks } from '../uses'
import type { WideIntent } from '../wide'
import { readUnsent } from './batch'
import { createCarrying } from './carrying'
import { createClashWatch } from './clash-watch'
import { createErrands } from './errands'
import { createLayers } from './layers'
import { createOriginWatch, type OriginWatch } from './origin'
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
  /** Takes up pictures that came into view: another one that is at hand already stays as it is. */
  readonly holdPictures: (pictures: Pictures) => void
  readonly step: (kind: 'undo' | 'redo') => Promise<Problem | undefined>
  /** Carries a wide edit out where the index is; ends once it is stored and seen here. */
  readonly wide: (intent: WideIntent) => Promise<Result<JobResult>>
  /** Takes an edit back that others came after, but for what was changed since where one leaves that. */
  readonly takeBack: (revision: number, leaves: boolean) => Promise<Result<JobResult>>
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

function firstState(
  site: LoadedSite,
  { page, pictures }: LoadedPage,
  origins: OriginWatch,
): SyncState {
  const docs = siteDocs(site.frame, [page])
  const own = looksOf(page.body).map((look) => ({ ...look, count: -look.count }))
  return {
    siteId: site.id,
    docs: { ...docs, fonts: site.fonts, pictures: { ...site.pictures, ...pictures } },
    revision: site.revision,
    undo: origins.stepOf(site.undo),
    redo: origins.stepOf(site.redo),
    pageCount: site.pageCount,
    otherLooks: mergeLooks(site.looks, own),
    pending: [],
    saveState: 'saved',
    remoteChanges: 0,
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
  const origins = createOriginWatch(site.revision)
  const held = hold<SyncState>(firstState(site, firstPage, origins))
  const { getState, setState, subscribe } = held
  const watch = createClashWatch()
  const { docs } = getState()
  const ahead = { undo: site.undo, redo: site.redo }
  const keep = (pending: readonly PendingEdit[]) =>
    keepUnsent(pending.length ? JSON.stringify(pending) : null)
  const layers = createLayers({ held, watch, origins, first: { docs, ahead }, keep })
  const standing = createStanding({ held, transport, watch, layers })
  const sending = createSending({ held, transport, watch, standing, layers, after })
  /** The pages that were asked for, the last one at the end. */
  let asked: readonly PageId[] = [firstPage.page.id]
  /** The newest revision that was heard of. */
  let heard = site.revision

  /** Sends what waits; then follows what was heard of meanwhile and did not come with an answer. */
  async function flush(): Promise<void> {
    await sending.flush()
    if (heard > getState().revision) await standing.catchUp(heard)
  }

  const { dispatch, carryOut } = createCarrying({ held, watch, origins, layers, newId, flush })
  const needs = { held, transport, watch, origins, layers, standing, after, flush }
  const { note, onServer, step, wide, takeBack, publish, cancel } = createErrands(needs)

  return {
    getState,
    subscribe,
    dispatch,
    carryOut,
    step,
    onServer,
    wide,
    takeBack,
    publish,
    cancel,
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
    holdPictures(pictures) {
      // One that is only just being added here is not stored yet: it comes with its edit.
      const { pictures: held } = getState().docs
      const fresh = Object.entries(pictures).filter(([id]) => !Object.hasOwn(held, id))
      if (fresh.length === 0) return
      const docs = layers.stored()
      layers.relayOn({ ...docs, pictures: { ...docs.pictures, ...Object.fromEntries(fresh) } })
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
        for (const { clientId } of left) origins.made(clientId)
        layers.relay(left)
        void flush()
      }
    },
    stop: sending.stop,
  }
}
