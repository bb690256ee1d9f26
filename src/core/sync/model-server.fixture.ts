import { demoSites } from '@demo/sites'
import { applyEdit, describeEdit, inverseOf, type Edit } from '../edit'
import {
  refused,
  type ChangesSince,
  type JobState,
  type Landed,
  type LoadedPage,
  type LoadedSite,
  type Problem,
  type Result,
} from '../payloads'
import {
  applyRecordChanges,
  canonicalJson,
  pagesInOrder,
  siteDocs,
  type PageId,
  type RecordChange,
  type SiteDocs,
} from '../site'
import { looksOf, mergeLooks } from '../uses'
import { planInMemory } from '../wide'
import { createSync, type SiteSync } from './sync'
import type { PendingEdit, SiteTransport, Surroundings } from './transport'

const { frame, pages, pictures } = demoSites[0]!
export const home = pages[0]!
export const firstDocs: SiteDocs = siteDocs(frame, pages, pictures)

interface Kept extends Landed {
  readonly changes: readonly RecordChange[]
  undone?: boolean
}

/** A server in memory that does what the real one does, as far as a window can tell. */
export function modelServer() {
  let docs = firstDocs
  const history: Kept[] = []
  const heard: string[] = []
  const listeners = new Set<SiteSync>()
  /** What is answered in place of what would be; undefined lets it be done. */
  let answer: (call: string, edits?: readonly PendingEdit[]) => Problem | undefined = () =>
    undefined
  /** Told in place of all changes: that they were too many. */
  let isFar = false

  const revision = () => history.length
  const ahead = (edit: Kept | undefined) =>
    edit && { revision: edit.revision, told: edit.told, clientId: edit.clientId }
  const standing = () => ({
    undo: ahead(history.findLast(({ kind, undone }) => kind === 'do' && !undone)),
    redo: ahead(history.find(({ undone }) => undone === true)),
  })

  function land(
    changes: readonly RecordChange[],
    told: string,
    more: { readonly clientId?: string; readonly kind?: Landed['kind'] } = {},
  ): void {
    docs = applyRecordChanges(docs, changes)
    const records = JSON.parse(JSON.stringify(changes)) as RecordChange[]
    history.push({
      revision: revision() + 1,
      actor: 'somebody',
      kind: 'do',
      told,
      records,
      others: [],
      changes: records,
      ...more,
    })
  }

  function since(base: number, held?: readonly string[]): ChangesSince {
    const entries = history.slice(base).map(({ changes, undone: _u, ...entry }): Landed => {
      const pagesTold = held ?? []
      const isTold = ({ kind, id }: RecordChange) => kind !== 'page' || pagesTold.includes(id)
      const others = changes.filter((each) => !isTold(each)).map(({ kind, id }) => `${kind}/${id}`)
      return { ...entry, records: changes.filter(isTold), others }
    })
    const told = { revision: revision(), ...standing() }
    return isFar ? { ...told, entries: [], far: true } : { ...told, entries }
  }

  const answered = async <T>(
    call: string,
    work: () => Result<T>,
    edits?: readonly PendingEdit[],
  ): Promise<Result<T>> => {
    heard.push(call)
    await Promise.resolve()
    const problem = answer(call, edits)
    return problem ? refused(problem) : work()
  }
  const done = <T>(value: T): Result<T> => ({ ok: true, value: structuredClone(value) })

  function save(base: number, edits: readonly PendingEdit[]): Result<ChangesSince> {
    const [before, count] = [docs, history.length]
    for (const { clientId, edit } of edits) {
      if (history.some((each) => each.clientId === clientId)) continue
      const result = applyEdit(docs, edit)
      if (!result.ok) {
        docs = before
        history.length = count
        return refused({ code: 'edit-refused', problem: result.problem, clientId })
      }
      land(result.changes, describeEdit(edit, docs), { clientId })
    }
    return done(since(base))
  }

  function step(kind: 'undo' | 'redo', base: number): Result<ChangesSince> {
    if (base !== revision()) return refused({ code: 'stale', revision: revision() })
    const target =
      kind === 'undo'
        ? history.findLast((each) => each.kind === 'do' && !each.undone)
        : history.find(({ undone }) => undone)
    if (!target) return refused({ code: kind === 'undo' ? 'nothing-to-undo' : 'nothing-to-redo' })
    target.undone = kind === 'undo'
    land(kind === 'undo' ? inverseOf(target.changes) : target.changes, target.told, { kind })
    return done(since(base))
  }

  const loadedSite = (): LoadedSite => ({
    id: 'tern',
    name: 'Tern',
    frame: docs.frame,
    revision: revision(),
    pageCount: Object.keys(docs.pages).length,
    looks: mergeLooks(...pagesInOrder(docs).map(({ body }) => looksOf(body))),
    pictures: docs.pictures,
    fonts: docs.fonts,
    ...standing(),
  })
  const loadedPage = (id: string): Result<LoadedPage> => {
    const page = docs.pages[id as PageId]
    return page
      ? done({ page, pictures: {}, revision: revision() })
      : refused({ code: 'not-found' })
  }
  const job = (state: Partial<JobState>): JobState => ({
    id: 'job',
    kind: 'wide',
    state: 'done',
    progress: 1,
    doing: '',
    ...state,
  })

  const transport: SiteTransport = {
    loadSite: () => answered('site', () => done(loadedSite())),
    loadPage: (id) => answered(`page ${id}`, () => loadedPage(id)),
    counts: () =>
      answered('counts', () => {
        const { looks, pageCount } = loadedSite()
        return done({ revision: revision(), looks, pageCount })
      }),
    save: (base, edits) => answered('save', () => save(base, edits), edits),
    changes: (base, held) => answered('changes', () => done(since(base, held))),
    step: (kind, base) => answered(kind, () => step(kind, base)),
    wide: (_base, intent) =>
      answered('wide', () => {
        const planned = planInMemory(docs, intent)
        if (!planned.ok) {
          const problem = { code: 'edit-refused', problem: planned.problem, clientId: '' } as const
          return done(job({ state: 'refused', problem }))
        }
        land(planned.changes, planned.told)
        return done(job({ result: { revision: revision(), changed: planned.count } }))
      }),
    takeBack: () =>
      answered('take-back', () =>
        done(job({ state: 'refused', problem: { code: 'not-kept', told: '' } })),
      ),
    publish: () => answered('publish', () => done(job({ kind: 'publish' }))),
    job: () => answered('job', () => done(job({}))),
    cancel: () => answered('cancel', () => done(null)),
  }

  let names = 0
  /** A window on the site. */
  function open(more: Partial<Surroundings> = {}): SiteSync {
    const first = loadedPage('home')
    if (!first.ok) throw new Error('no home page')
    const sync = createSync(
      structuredClone(loadedSite()),
      structuredClone(first.value),
      transport,
      {
        after(milliseconds, work) {
          const timer = setTimeout(work, milliseconds)
          timer.unref?.()
          return () => clearTimeout(timer)
        },
        newId: () => `client-${(names += 1)}`,
        keepUnsent: () => undefined,
        readUnsent: () => null,
        ...more,
      },
    )
    listeners.add(sync)
    return sync
  }

  return {
    open,
    heard,
    docs: () => docs,
    revision,
    /** Somebody else's edit. */
    landEdit(edit: unknown) {
      const result = applyEdit(docs, edit as Edit)
      if (!result.ok) throw new Error(result.problem)
      land(result.changes, describeEdit(edit as Edit, docs))
    },
    answerWith(next: typeof answer) {
      answer = next
    },
    beFar(far: boolean) {
      isFar = far
    },
    /** Tells all windows what landed after a revision. */
    announce(base: number) {
      for (const sync of listeners) sync.hear({ what: 'landed', ...since(base) })
    },
  }
}

export const setSlot = (slot: string, value: string) =>
  ({ type: 'setSlot', slot, value }) as unknown as Edit
export const slotOf = (sync: SiteSync, slot: string) =>
  sync.getState().docs.frame.palette.slots[slot as never] as { value: string } | undefined

export const settle = async () => {
  for (let i = 0; i < 80; i += 1) await Promise.resolve()
  await new Promise((resolve) => setTimeout(resolve, 5))
}

/** The records that a window has at hand, out of the whole. */
const seen = (sync: SiteSync, whole: SiteDocs) => {
  const { pages } = sync.getState().docs
  const own = Object.keys(pages).flatMap((id) => whole.pages[id as PageId] ?? [])
  return { ...siteDocs(whole.frame, own), pictures: sync.getState().docs.pictures }
}
export const isInStep = (sync: SiteSync, whole: SiteDocs) =>
  expect(canonicalJson(sync.getState().docs)).toBe(canonicalJson(seen(sync, whole)))
