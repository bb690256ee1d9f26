import { randomUUID } from 'node:crypto'
import type { Edit } from '@/core/edit'
import type { Result, Saved } from '@/core/payloads'
import { localOwner } from '../access'
import {
  closeTestDatabase,
  openTestDatabase,
  otherSiteId,
  revisionOf,
  siteId,
} from '../database/database.fixture'
import { models } from '../database/models'
import { publish } from '../publishing'
import { loadPage, loadSite } from '../sites'
import { changesOf } from './edit-records'
import { redo, saveEdits, undo } from '.'

beforeAll(() => openTestDatabase('crowd_test'))
afterAll(closeTestDatabase)

const color = (n: number) => `#${n.toString(16).padStart(6, '0')}`
const pending = (n: number, clientId: string = randomUUID()) => ({
  clientId,
  edit: { type: 'setSlot', slot: 'brand', value: color(n) } as unknown as Edit,
})

/** Saves as a window does that knows nothing of the others. */
const saveAs = (n: number): Promise<Result<Saved>> => saveEdits(localOwner, siteId, 0, [pending(n)])

/** What each of some edits put in place. */
async function valuesOf(revisions: readonly number[]): Promise<string[]> {
  const all = await Promise.all(revisions.map((each) => changesOf(siteId, each, 'forth')))
  return all.map((changes) => {
    if (changes === 'closed') throw new Error('closed')
    const values = changes.flatMap(({ changes: own }) => own)
    const put = values.find(({ path }) => path.at(-1) === 'value' || path.at(-1) === 'theme')
    return String((put as { to?: string } | undefined)?.to)
  })
}

test('fifty at once on one site: each is stored once, in some order, and nobody is told that the database is away', async () => {
  const before = await revisionOf(siteId)
  const crowd = Array.from({ length: 50 }, (_, n) => saveAs(n + 1))
  // While they wait for one another, whoever only reads is answered.
  const reads = Array.from({ length: 20 }, () => loadSite(localOwner, otherSiteId))
  for (const read of await Promise.all(reads)) expect(read.ok).toBe(true)
  const results = await Promise.all(crowd)
  expect(results.filter(({ ok }) => !ok)).toEqual([])
  expect(await revisionOf(siteId)).toBe(before + 50)
  const rows = await models().Edit.findAll({ where: { siteId }, order: ['revision'] })
  const values = await valuesOf(rows.map(({ revision }) => revision))
  expect(new Set(values).size).toBe(50)
  expect(rows.map(({ revision }) => revision)).toEqual(values.map((_, i) => before + i + 1))
}, 60_000)

test('saving, undoing, publishing and reading, all at once on two sites', async () => {
  const work = Array.from({ length: 40 }, (_, n) => {
    if (n % 5 === 0) return publish(localOwner, n % 2 ? siteId : otherSiteId)
    if (n % 5 === 1) return loadPage(localOwner, siteId, 'home')
    if (n % 5 === 2) return undo(localOwner, siteId, 50)
    if (n % 5 === 3) return redo(localOwner, siteId, 50)
    return saveAs(n + 1000)
  })
  for (const result of await Promise.all(work)) {
    if (!result.ok) expect(['stale', 'nothing-to-redo']).toContain(result.problem.code)
  }
}, 60_000)

test('one edit sent twice at the same time is stored once', async () => {
  const base = await revisionOf(siteId)
  const edit = pending(7777)
  const results = await Promise.all(
    [1, 2, 3].map(() => saveEdits(localOwner, siteId, base, [edit])),
  )
  for (const result of results)
    expect(result).toMatchObject({ ok: true, value: { revision: base + 1 } })
  expect(await revisionOf(siteId)).toBe(base + 1)
})

test('a page and the revision it is told with are of one moment', async () => {
  let running = true
  const writer = (async () => {
    for (let n = 0; running; n += 1) {
      const theme = n % 2 ? 'on-paper' : 'on-ink'
      const sections = [{ doc: 'home', section: 'bench' }]
      const base = await revisionOf(siteId)
      const edit = { type: 'setSectionTheme', sections, theme } as unknown as Edit
      await saveEdits(localOwner, siteId, base, [{ clientId: randomUUID(), edit }])
    }
  })()
  const seen = new Map<number, string>()
  for (let i = 0; i < 60; i += 1) {
    const loaded = await loadPage(localOwner, siteId, 'home')
    if (!loaded.ok) throw new Error(loaded.problem.code)
    const { page, revision } = loaded.value
    const theme = Object.values(page.body.sections).find(({ id }) => id === 'bench')!.theme
    expect(seen.get(revision) ?? theme).toBe(theme)
    seen.set(revision, theme)
  }
  running = false
  await writer
  // By the record of what was stored: each revision had the theme that its edit gave.
  const rows = await models().Edit.findAll({ where: { siteId, revision: [...seen.keys()] } })
  for (const { revision } of rows) {
    const [theme] = await valuesOf([revision])
    if (theme?.startsWith('on-')) expect([revision, seen.get(revision)]).toEqual([revision, theme])
  }
  expect(rows.length).toBeGreaterThan(2)
}, 60_000)
