import { randomUUID } from 'node:crypto'
import fc from 'fast-check'
import type { Edit } from '@/core/edit'
import { done, type Result } from '@/core/payloads'
import { canonicalJson, siteDocs, type PageId } from '@/core/site'
import { createSync, type SiteSync, type SiteTransport } from '@/core/sync'
import { localOwner } from '../access'
import { closeTestDatabase, openTestDatabase, siteId } from '../database/database.fixture'
import { beginJob, closeQueue, jobState, stepOrJob, workOn } from '../jobs'
import { select } from '../database/sets'
import { announce, hearNews, stopHearing } from '../live'
import { loadWhole } from '../records'
import { loadPage, loadSite, openSite, siteCounts } from '../sites'
import { changesSince, saveEdits } from '.'

beforeAll(() => openTestDatabase('two_windows_test'))
afterAll(async () => {
  await closeQueue()
  await stopHearing()
  await closeTestDatabase()
})

/** What comes over the wire: JSON, and nothing that both sides could share. */
const sent = async <T>(result: Promise<Result<T>>): Promise<Result<T>> =>
  JSON.parse(JSON.stringify(await result)) as Result<T>

async function worked(kind: 'wide' | 'take-back' | 'publish', data: unknown) {
  const job = await beginJob(localOwner, siteId, kind, data)
  if (!job.ok) return job
  await workOn(job.value)
  return jobState(localOwner, siteId, job.value)
}

const transport: SiteTransport = {
  loadSite: () => sent(loadSite(localOwner, siteId)),
  loadPage: (page) => sent(loadPage(localOwner, siteId, page)),
  counts: () => sent(siteCounts(localOwner, siteId)),
  save: (base, edits) => sent(saveEdits(localOwner, siteId, base, edits)),
  changes: (since, held) => sent(changesSince(localOwner, siteId, since, held)),
  step: (kind, base) => sent(stepOrJob(localOwner, siteId, base, kind)),
  wide: (base, intent) => sent(worked('wide', { base, intent })),
  takeBack: (revision, leaves) => sent(worked('take-back', { base: 'any', revision, leaves })),
  publish: () => sent(worked('publish', null)),
  job: (id) => sent(jobState(localOwner, siteId, id)),
  cancel: () => Promise.resolve(done(null)),
}

async function openWindow(): Promise<SiteSync> {
  const opened = await sent(openSite(localOwner, siteId))
  if (!opened.ok) throw new Error(opened.problem.code)
  return createSync(opened.value.site, opened.value.page, transport, {
    after(milliseconds, work) {
      const timer = setTimeout(work, milliseconds)
      timer.unref()
      return () => clearTimeout(timer)
    },
    newId: randomUUID,
    keepUnsent: () => undefined,
    readUnsent: () => null,
  })
}

const themes = fc.constantFrom('on-ink', 'on-mist', 'on-paper', 'on-spark')
const slots = fc.constantFrom('brand', 'ink', 'spark', 'slate', 'paper', 'moss')
const colors = fc
  .integer({ min: 0, max: 0xffffff })
  .map((n) => `#${n.toString(16).padStart(6, '0')}`)
const anyEdit: fc.Arbitrary<object> = fc.oneof(
  fc.record({ type: fc.constant('setSlot'), slot: slots, value: colors }),
  fc.record({ type: fc.constant('renameSlot'), slot: slots, name: fc.constantFrom('A', 'B', 'C') }),
  fc.record({
    type: fc.constant('addSlot'),
    slot: fc.constant('moss'),
    name: fc.constant('Moss'),
    value: colors,
  }),
  fc.tuple(fc.constantFrom('home', 'about', 'shop'), fc.nat(), themes).map(([doc, at, theme]) => ({
    type: 'setSectionTheme',
    sections: [{ doc, section: at }],
    theme,
  })),
  colors.map((color) => ({
    type: 'setCustomCss',
    css: `.a { color: ${color} } .b { fill: #1c5a54 }`,
  })),
  fc.constantFrom('One', 'Two').map((title) => ({ type: 'setPage', page: 'about', title })),
  fc.constantFrom('undo', 'redo').map((step) => ({ step })),
  fc.record({ wide: fc.constant('sweep'), value: colors }),
)

/** An edit that names a section by number is told which one that is. */
function placed(edit: object, sync: SiteSync): Edit | undefined {
  if (!('sections' in edit)) return edit as Edit
  const [{ doc, section }] = edit.sections as [{ doc: PageId; section: number }]
  const order = sync.getState().docs.pages[doc]?.body.order
  if (!order) return undefined
  return { ...edit, sections: [{ doc, section: order[section % order.length] }] } as unknown as Edit
}

async function act(sync: SiteSync, edit: object): Promise<void> {
  if ('step' in edit) await sync.step(edit.step as 'undo' | 'redo')
  else if ('wide' in edit) {
    const from = { value: '#1c5a54', within: 0 }
    const to = { value: (edit as unknown as { value: string }).value }
    await sync.wide({ type: 'sweep', request: { pairs: [{ from, to }], scope: 'site' } })
  } else {
    const wanted = placed(edit, sync)
    if (wanted) sync.dispatch(wanted)
  }
}

test('who hears again soon does so by the connection that was there', async () => {
  const ears = async () => {
    const rows = await select<{ pid: number }>(
      `select pid from pg_stat_activity where query = 'listen easel' and datname = current_database()`,
      [],
    )
    return rows.map(({ pid }) => pid)
  }
  const heardOnce = () =>
    new Promise<() => void>((resolve) => {
      const stop = hearNews(() => resolve(stop))
    })
  const first = await heardOnce()
  first()
  const [ear, ...others] = await ears()
  expect(ear).toBeGreaterThan(0)
  expect(others).toEqual([])
  const heard = new Promise<void>((resolve) => hearNews(() => resolve()))
  await announce({ what: 'present', site: siteId })
  await heard
  expect(await ears()).toEqual([ear])
  await stopHearing()
})

test('two windows on the real database, edits, steps and sweeps mixed: both end with the stored bytes', async () => {
  const seed = Number(process.env.SEED ?? Math.floor(Math.random() * 1e9))
  console.warn(`two windows: seed ${seed}`)
  const moves = fc.sample(fc.tuple(fc.nat({ max: 1 }), anyEdit, fc.nat({ max: 3 })), {
    seed,
    numRuns: Number(process.env.MOVES ?? 120),
  })
  const windows = [await openWindow(), await openWindow()]
  const stop = hearNews((news) => {
    if (news === 'missed' || news.what !== 'landed') return
    // As the stream tells it: what landed since the window knew.
    for (const sync of windows) void sync.catchUp()
  })
  for (const sync of windows) {
    for (const page of ['about', 'shop']) await sync.holdPage(page as PageId)
  }
  let dispatched = 0
  for (const [who, edit, pause] of moves) {
    await act(windows[who]!, edit)
    dispatched += 1
    if (pause === 0) await new Promise((resolve) => setTimeout(resolve, 2))
  }
  for (let i = 0; i < 3; i += 1) for (const sync of windows) await sync.catchUp()
  stop()
  const whole = await loadWhole(siteId)
  expect(dispatched).toBe(moves.length)
  for (const sync of windows) {
    const { docs, pending } = sync.getState()
    const pages = Object.keys(docs.pages).map((id) => whole.pages[id as PageId]!)
    expect(pending).toEqual([])
    expect(canonicalJson({ ...docs, pictures: {} })).toBe(
      canonicalJson(siteDocs(whole.frame, pages)),
    )
    sync.stop()
  }
}, 120_000)
