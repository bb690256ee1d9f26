import type { ThemeId } from '@/core/site'
import { localOwner, type Actor } from '../access'
import {
  closeTestDatabase,
  openTestDatabase,
  revisionOf,
  siteId,
  stateOf,
} from '../database/database.fixture'
import { loadWhole } from '../records'
import { carryOutWide, undo } from '.'

const removeTheme = (actor: Actor, site: string, base: number, theme: ThemeId, to: ThemeId) =>
  carryOutWide(actor, site, base, { type: 'removeTheme', theme, to })

const [ink, mist] = ['on-ink', 'on-mist'] as unknown as [ThemeId, ThemeId]
const docsOf = loadWhole
const themesInUse = async () => {
  const { frame, pages } = await docsOf(siteId)
  const bodies = [frame.body, ...Object.values(pages).map(({ body }) => body)]
  return bodies.flatMap(({ sections }) => Object.values(sections).map(({ theme }) => theme))
}

beforeAll(() => openTestDatabase('themes_test'))
afterAll(closeTestDatabase)

test('a theme in use is removed with every section going to another, in one edit that one undo takes back', async () => {
  const before = await stateOf(siteId)
  const used = (await themesInUse()).filter((theme) => theme === ink).length
  const others = (await themesInUse()).filter((theme) => theme === mist).length
  expect(used).toBeGreaterThan(1)
  const base = await revisionOf(siteId)
  const removed = await removeTheme(localOwner, siteId, base, ink, mist)
  expect(removed).toMatchObject({ ok: true, value: { revision: base + 1 } })
  expect((await docsOf(siteId)).frame.themes.byId[ink]).toBeUndefined()
  expect(await themesInUse()).not.toContain(ink)
  expect((await themesInUse()).filter((theme) => theme === mist)).toHaveLength(used + others)
  await undo(localOwner, siteId, base + 1)
  expect(await stateOf(siteId)).toBe(before)
})

test.each([
  ['a theme that is not there', 'nowhere', mist, 'theme-gone'],
  ['nothing to take over', ink, 'nowhere', 'theme-gone'],
])('%s: refused, and nothing is changed', async (_what, theme, to, problem) => {
  const before = await stateOf(siteId)
  const base = await revisionOf(siteId)
  const result = await removeTheme(localOwner, siteId, base, theme as ThemeId, to as ThemeId)
  expect(result).toMatchObject({ ok: false, problem: { code: 'edit-refused', problem } })
  expect(await stateOf(siteId)).toBe(before)
  expect(await revisionOf(siteId)).toBe(base)
})

test('from an old base nothing is removed', async () => {
  const base = await revisionOf(siteId)
  expect(await removeTheme(localOwner, siteId, base - 1, ink, mist)).toEqual({
    ok: false,
    problem: { code: 'stale', revision: base },
  })
})
