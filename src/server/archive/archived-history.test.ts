import { randomUUID } from 'node:crypto'
import { unzipSync, zipSync, strToU8, type Zippable } from 'fflate'
import { pageVersion } from '@/core/site'
import { localOwner } from '../access'
import {
  closeTestDatabase,
  openTestDatabase,
  revisionOf,
  siteId,
} from '../database/database.fixture'
import { readHistory, redo, saveEdits, undo } from '../edits'
import { hashOf, loadWhole } from '../records'
import {
  countFaults,
  countSites,
  manifest,
  recordsIn,
  withManifest,
  written,
} from './archive.fixture'
import { beginFromArchive, writeArchive } from '.'

beforeAll(() => openTestDatabase('archived_history_test'))
afterAll(closeTestDatabase)

const withHistory = async (site: string) => {
  const archive = await writeArchive(localOwner, site, true)
  if (!archive.ok) throw new Error(archive.problem.code)
  return Buffer.from(archive.value.data)
}
const plain = async (site: string) => {
  const copy = await beginFromArchive(localOwner, await written(site))
  if (!copy.ok) throw new Error(copy.problem.code)
  return copy.value.id
}
const to = async (site: string, ...edits: object[]) => {
  for (const edit of edits) {
    const sent = [{ clientId: randomUUID(), edit: edit as never }]
    const result = await saveEdits(localOwner, site, await revisionOf(site), sent)
    expect(result).toMatchObject({ ok: true })
  }
}
const texts = (site: string) =>
  recordsIn(site).then((all) => all.map((each) => each.join(' ')).join('\n'))

test('a site is read back with every step, and goes back through them to the first bytes', async () => {
  const site = await plain(siteId)
  const first = await texts(site)
  await to(
    site,
    { type: 'setSlot', slot: 'brand', value: '#5b2a86' },
    { type: 'removePage', page: 'about' },
    { type: 'renameSite', name: 'Other' },
  )
  expect(await undo(localOwner, site, await revisionOf(site))).toMatchObject({ ok: true })
  const begun = await beginFromArchive(localOwner, await withHistory(site))
  if (!begun.ok) throw new Error(begun.problem.code)
  const copy = begun.value.id
  expect(await texts(copy)).toBe(await texts(site))
  const told = async (of: string) => {
    const history = await readHistory(localOwner, of)
    return history.ok && history.value.entries.map(({ at: _at, ...each }) => each)
  }
  expect(await told(copy)).toEqual(await told(site))
  for (let i = 0; i < 2; i += 1) {
    expect(await undo(localOwner, copy, await revisionOf(copy))).toMatchObject({ ok: true })
  }
  expect(await texts(copy)).toBe(first)
  expect(await redo(localOwner, copy, await revisionOf(copy))).toMatchObject({ ok: true })
  expect(await countFaults()).toBe(0)
})

test.each<readonly [string, (history: Array<Record<string, unknown>>) => unknown]>([
  ['no list', () => ({})],
  ['steps out of order', (all) => [...all].reverse()],
  ['a step back to what comes after', ([one]) => [{ ...one, target: 7 }]],
  ['a kind that is none', ([one]) => [{ ...one, kind: 'drop' }]],
  ['a revision that no edit could follow', ([one]) => [{ ...one, revision: 2_147_483_647 }]],
  ['a revision beyond its column', ([one]) => [{ ...one, revision: 9_000_000_000 }]],
  ['a time before there were websites', ([one]) => [{ ...one, at: '0000-01-01T00:00:00Z' }]],
  ['entries by the million', () => Array.from({ length: 3_000_000 }, () => ({}))],
  [
    'a record of a version that there is not',
    ([one]) => [{ ...one, records: [{ kind: 'page', id: 'home', schema: 99, changes: [] }] }],
  ],
])('a history with %s is refused, and nothing is stored', async (_, change) => {
  const site = await plain(siteId)
  await to(site, { type: 'renameSite', name: 'One' }, { type: 'renameSite', name: 'Two' })
  const entries = unzipSync(await withHistory(site))
  const history = JSON.parse(Buffer.from(entries['history.json']!).toString()) as Array<
    Record<string, unknown>
  >
  const text = JSON.stringify(change(history))
  entries['history.json'] = strToU8(text)
  withManifest(entries, { ...manifest(entries), history: hashOf(text) })
  const before = await countSites()
  const bytes = Buffer.from(zipSync(entries as Zippable))
  expect(await beginFromArchive(localOwner, bytes)).toMatchObject({
    problem: { code: 'archive', why: 'tampered' },
  })
  expect(await countSites()).toBe(before)
})

test('a time with an unusual offset is the same moment', async () => {
  const site = await plain(siteId)
  await to(site, { type: 'renameSite', name: 'One' })
  const entries = unzipSync(await withHistory(site))
  const [one] = JSON.parse(Buffer.from(entries['history.json']!).toString()) as [object]
  const text = JSON.stringify([{ ...one, at: '2026-11-03T10:00:00+23:59' }])
  entries['history.json'] = strToU8(text)
  withManifest(entries, { ...manifest(entries), history: hashOf(text) })
  const begun = await beginFromArchive(localOwner, Buffer.from(zipSync(entries as Zippable)))
  if (!begun.ok) throw new Error(begun.problem.code)
  const history = await readHistory(localOwner, begun.value.id)
  expect(history).toMatchObject({ value: { entries: [{ at: '2026-11-02T10:01:00.000Z' }] } })
})

test('a step of it that leads to a snippet which runs is refused, and nothing is changed', async () => {
  const docs = await loadWhole(siteId)
  const [page, embed] = Object.values(docs.pages).flatMap(({ id, body }) =>
    Object.values(body.elements).flatMap((each) => (each.kind === 'embed' ? [id, each] : [])),
  ) as unknown as [string, { id: string; content: { html: string } }]
  const site = await plain(siteId)
  await to(site, { type: 'renameSite', name: 'One' })
  const entries = unzipSync(await withHistory(site))
  const [one] = JSON.parse(Buffer.from(entries['history.json']!).toString()) as [object]
  const path = ['body', 'elements', embed.id, 'content', 'html']
  const changes = [{ path, from: '<script>alert(1)</script>', to: embed.content.html }]
  const records = [{ kind: 'page', id: page, schema: pageVersion, changes }]
  const text = JSON.stringify([{ ...one, records }])
  entries['history.json'] = strToU8(text)
  withManifest(entries, { ...manifest(entries), history: hashOf(text) })
  const begun = await beginFromArchive(localOwner, Buffer.from(zipSync(entries as Zippable)))
  if (!begun.ok) throw new Error(begun.problem.code)
  const copy = begun.value.id
  const before = await texts(copy)
  expect(await undo(localOwner, copy, await revisionOf(copy))).toMatchObject({ ok: false })
  expect(await texts(copy)).toBe(before)
})
