import { randomUUID } from 'node:crypto'
import type { BeginRequest, ShelfDeed } from '@/core/payloads'
import { localOwner } from '../access'
import {
  closeTestDatabase,
  openTestDatabase,
  revisionOf,
  siteId,
  stateOf,
  stranger,
} from '../database/database.fixture'
import { models } from '../database/models'
import { select, tell } from '../database/sets'
import { saveEdits, undo } from '../edits'
import { publishedFile } from '../publishing'
import { loadWhole, tidyUp } from '../records'
import { inventory } from '../uses'
import {
  beginSite,
  carryOutDeed,
  homePicture,
  brokenLinks,
  linksTo,
  listSites,
  openSite,
  pageAt,
  pageBeside,
} from '.'

beforeAll(() => openTestDatabase('shelf_test'))
afterAll(closeTestDatabase)

const begin = async (wanted: BeginRequest) => {
  const begun = await beginSite(localOwner, wanted)
  if (!begun.ok) throw new Error(begun.problem.code)
  return begun.value.id
}
const empty = { design: 'empty' } as const
const deed = (site: string, wanted: ShelfDeed) => carryOutDeed(localOwner, site, wanted)
const onShelf = async (site: string) => (await listSites(localOwner)).find(({ id }) => id === site)

test('a site begins empty, is opened, coloured and undone like any other', async () => {
  const site = await begin({ name: 'Wren Cycles', from: { ...empty, colors: ['teal'] } })
  expect(site).toBe('wren-cycles')
  expect(await begin({ name: 'Wren Cycles', from: empty })).toBe('wren-cycles-2')
  const opened = await openSite(localOwner, site)
  expect(opened).toMatchObject({ ok: true, value: { page: { page: { path: 'index' } } } })
  const before = await stateOf(site)
  const edit = { type: 'setSlot', slot: 'accent', value: '#aa3300' } as never
  await saveEdits(localOwner, site, 0, [{ clientId: randomUUID(), edit }])
  await undo(localOwner, site, await revisionOf(site))
  expect(await stateOf(site)).toBe(before)
  const [last] = await listSites(localOwner)
  expect(last).toMatchObject({ id: site, place: 'shelf', site: { pageCount: 1 } })
})

test('a copy has the same records and the same index under its own name, and goes its own way', async () => {
  const site = await begin({ name: 'Tern, another', from: { site: siteId } })
  const [from, copy] = [await loadWhole(siteId), await loadWhole(site)]
  expect(copy).toEqual({ ...from, frame: { ...from.frame, name: 'Tern, another' } })
  const [theirs, ours] = [await inventory(localOwner, siteId), await inventory(localOwner, site)]
  expect(ours.ok && ours.value.entries).toEqual(theirs.ok && theirs.value.entries)
  const looks = (of: string) =>
    select('select look, count from site_looks where site_id = $1 and count > 0 order by look', [
      of,
    ])
  expect(await looks(site)).toEqual(await looks(siteId))
  const edit = { type: 'setSlot', slot: 'spark', value: '#00aa33' } as never
  await saveEdits(localOwner, site, 0, [{ clientId: randomUUID(), edit }])
  expect(await loadWhole(siteId)).toEqual(from)
})

test('its name is an edit: the shelf and the history know it, undo gives the old one back', async () => {
  const site = await begin({ name: 'Plum', from: empty })
  const rename = { deed: 'rename', clientId: randomUUID(), name: 'Damson' } as const
  expect(await deed(site, rename)).toEqual({ ok: true, value: null })
  // Sent again by a window that heard no answer, it is done once.
  expect(await deed(site, rename)).toEqual({ ok: true, value: null })
  expect(await revisionOf(site)).toBe(1)
  expect((await onShelf(site))?.name).toBe('Damson')
  await undo(localOwner, site, 1)
  expect((await onShelf(site))?.name).toBe('Plum')
})

test('what is put away stands apart and works as before; what is removed is found by nobody, and comes back as it was', async () => {
  const site = await begin({ name: 'Old Mill', from: { site: siteId } })
  const before = await stateOf(site)
  await deed(site, { deed: 'put-away' })
  expect((await onShelf(site))?.place).toBe('away')
  expect((await openSite(localOwner, site)).ok).toBe(true)
  await deed(site, { deed: 'put-back' })
  expect((await onShelf(site))?.place).toBe('shelf')

  await tell(`insert into publication_files (site_id, name, hash) values ($1, 'a.html', 'x')`, [
    site,
  ])
  const other = await deed(site, { deed: 'remove', name: 'Old Mil' })
  expect(other).toEqual({ ok: false, problem: { code: 'other-name' } })
  expect(await deed(site, { deed: 'remove', name: ' Old Mill ' })).toEqual({
    ok: true,
    value: null,
  })
  expect(await onShelf(site)).toMatchObject({ place: 'removed', daysLeft: 30 })
  const gone = { ok: false, problem: { code: 'not-found' } }
  expect(await openSite(localOwner, site)).toEqual(gone)
  expect(await homePicture(localOwner, site)).toEqual(gone)
  const edit = { type: 'renameSite', name: 'Ghost' } as const
  expect(await saveEdits(localOwner, site, 0, [{ clientId: randomUUID(), edit }])).toEqual(gone)
  expect(await publishedFile(site, 'a.html')).toBeUndefined()
  await tidyUp()
  expect(await deed(site, { deed: 'bring-back' })).toEqual({ ok: true, value: null })
  expect(await stateOf(site)).toBe(before)

  await deed(site, { deed: 'remove', name: 'Old Mill' })
  await tell(`update sites set removed_at = now() - interval '31 days' where id = $1`, [site])
  await tidyUp()
  expect(await onShelf(site)).toBeUndefined()
  for (const table of ['contents', 'records', 'uses', 'looks', 'site_looks', 'edits']) {
    expect(await select(`select 1 from ${table} where site_id = $1`, [site])).toEqual([])
  }
})

test('strangers and readers neither begin, rename, put away nor remove', async () => {
  const gone = { ok: false, problem: { code: 'not-found' } }
  const forbidden = { ok: false, problem: { code: 'forbidden' } }
  const rename = { deed: 'rename', clientId: randomUUID(), name: 'Mine' } as const
  expect(await beginSite(stranger, { name: 'Mine', from: empty })).toEqual(forbidden)
  expect(await beginSite(stranger, { name: 'Mine', from: { site: siteId } })).toEqual(gone)
  expect(await carryOutDeed(stranger, siteId, rename)).toEqual(gone)
  expect(await carryOutDeed(stranger, siteId, { deed: 'put-away' })).toEqual(gone)
  const { Member, User } = models()
  const [reader, designer] = [{ userId: 'reads' }, { userId: 'designs' }]
  for (const [{ userId }, role] of [
    [reader, 'reader'],
    [designer, 'designer'],
  ] as const) {
    await User.create({ id: userId, name: userId })
    await Member.create({ workspaceId: 'demo', userId, role })
  }
  expect(await beginSite(reader, { name: 'Mine', from: empty })).toEqual(forbidden)
  expect(await carryOutDeed(reader, siteId, rename)).toEqual(forbidden)
  expect(await carryOutDeed(reader, siteId, { deed: 'put-away' })).toEqual(forbidden)
  const remove = { deed: 'remove', name: 'Tern & Thistle' } as const
  expect(await carryOutDeed(designer, siteId, remove)).toEqual(forbidden)
})

test('twenty that are begun at once under one name are twenty sites', async () => {
  const ids = await Promise.all(
    Array.from({ length: 20 }, () => begin({ name: 'Crowd', from: empty })),
  )
  expect(new Set(ids).size).toBe(20)
})

test('the picture of a home page holds its words and nothing that could end its stylesheet', async () => {
  const site = await begin({ name: 'Styles', from: empty })
  const css = '.a::before { content: "</style><script>1</script>" }'
  const edit = { type: 'setCustomCss', css } as const
  const saved = await saveEdits(localOwner, site, 0, [{ clientId: randomUUID(), edit }])
  expect(saved.ok).toBe(true)
  const home = await homePicture(localOwner, site)
  if (!home.ok) throw new Error(home.problem.code)
  expect(home.value).toContain('Say here in one sentence')
  expect(home.value).not.toContain('</style><script>')
})

test('home is the page at the address of the site, wherever it stands; links to a page and its address are found', async () => {
  const site = await begin({ name: 'Pages', from: { site: siteId } })
  const to = async (edit: object) => {
    const edits = [{ clientId: randomUUID(), edit: edit as never }]
    return saveEdits(localOwner, site, await revisionOf(site), edits)
  }
  await to({ type: 'movePage', page: 'home', order: 'a9' })
  const last = await pageBeside(localOwner, site, 'home', 'after')
  expect(last).toEqual({ ok: true, value: null })
  const opened = await openSite(localOwner, site)
  expect(opened).toMatchObject({ ok: true, value: { page: { page: { path: 'index' } } } })

  const links = await linksTo(localOwner, site, 'shop')
  if (!links.ok) throw new Error(links.problem.code)
  // Header and footer first; pages by their titles.
  expect(links.value[0]).toBeNull()
  expect(links.value).toContain('Home')
  expect(await linksTo(localOwner, site, 'sho')).toEqual({ ok: true, value: [] })
  expect(await to({ type: 'setPage', page: 'shop', path: 'about' })).toMatchObject({ ok: false })
  expect(await to({ type: 'setPage', page: 'home', path: 'start' })).toMatchObject({
    problem: { problem: 'home-address' },
  })
  await to({
    type: 'setPage',
    page: 'shop',
    path: 'goods',
    title: 'Goods',
    description: 'All of it',
  })
  expect(await pageAt(localOwner, site, 'goods')).toMatchObject({
    value: { id: 'shop', title: 'Goods' },
  })
  expect(await pageAt(localOwner, site, 'shop')).toEqual({ ok: true, value: null })
  expect(await pageAt(stranger, site, 'goods')).toMatchObject({ ok: false })
  // What leads to a page that is gone, or nowhere, is told.
  const before = await brokenLinks(localOwner, site)
  expect(before).toMatchObject({ ok: true })
  const count = (links: typeof before) =>
    links.ok ? links.value.reduce((sum, each) => sum + each.gone, 0) : -1
  expect(count(before)).toBe(0)
  await to({ type: 'removePage', page: 'shop' })
  const after = await brokenLinks(localOwner, site)
  expect(count(after)).toBeGreaterThan(1)
  if (!after.ok) throw new Error(after.problem.code)
  expect(after.value[0]).toMatchObject({ kind: 'frame', title: null })
  expect(after.value.some(({ title }) => title === 'Home')).toBe(true)
})
