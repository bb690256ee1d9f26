import { liveryOf } from '@/core/livery'
import { demoSites } from '@demo/sites'
import { localOwner } from '../access'
import {
  closeTestDatabase,
  openTestDatabase,
  otherSiteId as ferry,
  revisionOf,
  siteId,
  stateOf,
  stranger,
} from '../database/database.fixture'
import { models } from '../database/models'
import { saveEdits, undo } from '../edits'
import { loadFrame } from '../records'
import { changeLivery, keepLivery, mostLiveries } from './kept'
import { listLiveries, liveryFrom } from './sources'

beforeAll(() => openTestDatabase('liveries_test'))
afterAll(closeTestDatabase)

const ours = async () => liveryOf(await loadFrame(siteId), {})

async function kept(name: string): Promise<string> {
  const made = await keepLivery(localOwner, siteId, { name, livery: await ours() })
  if (!made.ok) throw new Error(made.problem.code)
  return made.value.id
}

const entries = async (site = siteId) => {
  const found = await listLiveries(localOwner, site)
  if (!found.ok) throw new Error(found.problem.code)
  return found.value
}

test('kept under a name, for every site of the workspace; renamed, and removed', async () => {
  const id = await kept('Autumn')
  expect(await entries(ferry)).toEqual(
    expect.arrayContaining([expect.objectContaining({ from: 'kept', id, name: 'Autumn' })]),
  )
  expect(await liveryFrom(localOwner, ferry, 'kept', id)).toEqual({ ok: true, value: await ours() })
  expect(
    await changeLivery(localOwner, siteId, id, { deed: 'rename', name: 'Late autumn' }),
  ).toMatchObject({ ok: true })
  expect((await entries()).find((entry) => entry.id === id)?.name).toBe('Late autumn')
  expect(await changeLivery(localOwner, siteId, id, { deed: 'remove' })).toMatchObject({ ok: true })
  const gone = { ok: false, problem: { code: 'not-found' } }
  expect(await changeLivery(localOwner, siteId, id, { deed: 'remove' })).toEqual(gone)
  expect(await liveryFrom(localOwner, siteId, 'kept', id)).toEqual(gone)
})

test('a name is given once, letter case aside; two at once get it once', async () => {
  const [livery, taken] = [await ours(), { ok: false, problem: { code: 'livery-named' } }]
  const both = await Promise.all(
    ['Spring', 'spring'].map((name) => keepLivery(localOwner, siteId, { name, livery })),
  )
  expect(both.filter(({ ok }) => ok)).toHaveLength(1)
  expect(both.find(({ ok }) => !ok)).toEqual(taken)
  const id = await kept('Summer')
  expect(await changeLivery(localOwner, siteId, id, { deed: 'rename', name: 'SPRING' })).toEqual(
    taken,
  )
})

test('those of other sites and of designs, whole', async () => {
  const all = await entries()
  expect(all.filter(({ from }) => from === 'design')).toHaveLength(8)
  expect(all.some(({ from, id }) => from === 'site' && id === ferry)).toBe(true)
  expect(all.some(({ id }) => id === siteId)).toBe(false)
  for (const { from, id, colors } of all) {
    const found = await liveryFrom(localOwner, siteId, from, id)
    expect([from, id, found.ok]).toEqual([from, id, true])
    if (from !== 'site') expect(colors!.length).toBeGreaterThan(2)
  }
  expect(await liveryFrom(localOwner, siteId, 'design', 'constructor')).toMatchObject({ ok: false })
})

test('one stored by an earlier version is read in today’s shape', async () => {
  const id = await kept('Old')
  const { settings, ...rest } = await ours()
  const { buttonForm: _form, buttonIcon: _icon, ...before } = settings
  await models().Livery.update(
    { record: { ...rest, schema: 8, settings: before } },
    { where: { id } },
  )
  expect(await liveryFrom(localOwner, siteId, 'kept', id)).toEqual({
    ok: true,
    value: await ours(),
  })
})

test('one that cannot be read is listed, takes no other with it, and is refused when it is taken', async () => {
  const id = await kept('Broken')
  await models().Livery.update({ record: { schema: 999 } }, { where: { id } })
  const all = await entries()
  expect(all.find((entry) => entry.id === id)).toMatchObject({ name: 'Broken' })
  expect(all.length).toBeGreaterThan(8)
  await expect(liveryFrom(localOwner, siteId, 'kept', id)).rejects.toThrow()
  await changeLivery(localOwner, siteId, id, { deed: 'remove' })
})

test('nobody else sees, takes or changes them', async () => {
  const [id, livery] = [await kept('Private'), await ours()]
  for (const answer of [
    await listLiveries(stranger, siteId),
    await liveryFrom(stranger, siteId, 'kept', id),
    await liveryFrom(stranger, siteId, 'site', ferry),
    await keepLivery(stranger, siteId, { name: 'Mine', livery }),
    await changeLivery(stranger, siteId, id, { deed: 'remove' }),
  ]) {
    expect(answer.ok).toBe(false)
  }
})

test('as many as there can be, and then no more', async () => {
  const { workspaceId } = (await models().Site.findByPk(siteId))!
  const there = await models().Livery.count({ where: { workspaceId } })
  const record = await ours()
  await models().Livery.bulkCreate(
    Array.from({ length: mostLiveries - there }, (_, i) => ({
      id: `many-${i}`,
      workspaceId,
      name: `Many ${i}`,
      record,
    })),
  )
  const full = { ok: false, problem: { code: 'liveries-full' } }
  expect(await keepLivery(localOwner, siteId, { name: 'One more', livery: record })).toEqual(full)
})

test('taken as one edit, and taken back by one undo, to the byte', async () => {
  const before = await stateOf(siteId)
  const [, other] = demoSites
  const edit = {
    type: 'takeLivery',
    name: 'Ferry',
    livery: liveryOf(other!.frame, {}),
    parts: ['palette', 'themes', 'styles', 'shapes', 'type'],
  } as const
  const saved = await saveEdits(localOwner, siteId, await revisionOf(siteId), [
    { clientId: crypto.randomUUID(), edit: edit as never },
  ])
  expect(saved.ok).toBe(true)
  expect(await stateOf(siteId)).not.toEqual(before)
  expect((await undo(localOwner, siteId, await revisionOf(siteId))).ok).toBe(true)
  expect(await stateOf(siteId)).toEqual(before)
})
