import { randomUUID } from 'node:crypto'
import { setImmediate as nextTurn } from 'node:timers/promises'
import { expect, test } from '@playwright/test'
import fc from 'fast-check'
import type { Edit } from '@/core/edit'
import { anyEditOf, editTable, type EditTypeName } from '@/core/edit/any-edit.fixture'
import type { LoadedPage, LoadedSite, Result } from '@/core/payloads'
import { canonicalJson, type PageId } from '@/core/site'
import { createSync, type SiteSync, type Surroundings } from '@/core/sync'
import { siteTransport } from '@/ui/editor/client'

const site = 'tern-and-thistle'
const first = process.env.EASEL_ADDRESS ?? ''
const second = process.env.EASEL_SECOND ?? first
/** Edits of each window that are carried out; `./easel test --long` asks for more. */
const EDITS = Number(process.env.EASEL_EDITS ?? 120)

const surroundings: Surroundings = {
  after(milliseconds, work) {
    const timer = setTimeout(work, milliseconds)
    return () => clearTimeout(timer)
  },
  newId: randomUUID,
  keepUnsent: () => undefined,
  readUnsent: () => null,
}

function need<T>(result: Result<T>): T {
  if (!result.ok) throw new Error(JSON.stringify(result.problem))
  return result.value
}

/** What a browser runs to keep a site in step, all pages of it at hand, on one of the servers. */
async function openWindow(address: string): Promise<SiteSync> {
  const transport = siteTransport(site, address)
  const loaded: LoadedSite = need(await transport.loadSite())
  const listed = await fetch(`${address}/api/sites/${site}/pages?from=0&count=20`)
  const { pages } = (await listed.json()) as { pages: ReadonlyArray<{ id: PageId }> }
  const home: LoadedPage = need(await transport.loadPage(pages[0]!.id))
  const sync = createSync(loaded, home, transport, surroundings)
  for (const { id } of pages) expect(await sync.holdPage(id)).toBeUndefined()
  return sync
}

const kinds = Object.keys(editTable) as EditTypeName[]

/** Edits of every kind on what the window shows at first, in any order; some no longer fit when their turn comes. */
function anyEdits(sync: SiteSync, seed: number): Edit[] {
  const { docs } = sync.getState()
  const edits = kinds.flatMap((kind) =>
    fc.sample(anyEditOf(kind, docs), { numRuns: Math.ceil(EDITS / 4), seed }),
  )
  const whole = { minLength: edits.length, maxLength: edits.length }
  return fc.sample(fc.shuffledSubarray(edits, whole), { numRuns: 1, seed })[0]!
}

/** Random edits, now and then a step back or forth, and now and then it looks around. */
async function work(sync: SiteSync, seed: number): Promise<number> {
  let done = 0
  const picks = fc.sample(fc.nat(99), { numRuns: 20_000, seed })
  for (const [n, edit] of anyEdits(sync, seed).entries()) {
    if (done === EDITS) break
    const pick = picks[n % picks.length]!
    if (pick < 2) await sync.step(pick < 1 ? 'undo' : 'redo')
    if (pick < 20) await sync.catchUp()
    const before = sync.getState().docs
    if (sync.dispatch(edit) === undefined && sync.getState().docs !== before) done += 1
    if (sync.getState().pending.length > 20) await sync.catchUp()
    // Whatever came from the server meanwhile is taken in between.
    await nextTurn()
  }
  return done
}

async function rest(sync: SiteSync): Promise<void> {
  await expect
    .poll(
      async () => {
        await sync.catchUp()
        const { pending, saveState } = sync.getState()
        return `${pending.length} ${saveState}`
      },
      { timeout: 60_000 },
    )
    .toBe('0 saved')
}

test(`two windows on two servers, ${EDITS} random edits each: both end with the same bytes`, async () => {
  test.setTimeout(600_000)
  const seed = Number(process.env.EASEL_SEED ?? Math.floor(Math.random() * 1e6))
  console.log(`  two windows: seeds ${seed} and ${seed + 500_000}`)
  const windows = await Promise.all([openWindow(first), openWindow(second)])
  const done = await Promise.all(windows.map((sync, i) => work(sync, seed + i * 500_000)))
  expect(done).toEqual([EDITS, EDITS])
  for (const sync of windows) await rest(sync)
  for (const sync of windows) await sync.catchUp()

  const fresh = await openWindow(second)
  const [a, b, stored] = [...windows, fresh].map((sync) => sync.getState())
  expect([a!.revision, b!.revision]).toEqual([stored!.revision, stored!.revision])
  for (const state of [a!, b!]) {
    expect(canonicalJson(state.docs.frame)).toBe(canonicalJson(stored!.docs.frame))
    for (const [id, page] of Object.entries(state.docs.pages)) {
      expect(canonicalJson(page)).toBe(canonicalJson(stored!.docs.pages[id as PageId]))
    }
  }
  for (const sync of [...windows, fresh]) sync.stop()
})
