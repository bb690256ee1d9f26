import { readFileSync } from 'node:fs'
import path from 'node:path'
import { gunzipSync } from 'node:zlib'
import { isUnreadable, readRecord } from '@/core/site'
import { localOwner } from '../access'
import { database } from '../database/connection'
import { closeTestDatabase, openEmptyDatabase, stateText } from '../database/database.fixture'
import { models } from '../database/models'
import { select } from '../database/sets'
import { carryOutWide, listCheckpoints, readHistory, redo, undo } from '../edits'
import { bringUpToDate, loadWhole } from '../records'
import { loadSite } from '../sites'
import { checkIndex } from '../uses'
import { migrate } from './migrate'

/**
 * A database as the version before records left it: both demo sites, and on
 * `ferrybank` slots, themes and sections changed, a sweep, a theme removed, undone
 * and brought again, a slot removed, a publication, a way back to a checkpoint.
 */
const dump = path.join(process.cwd(), 'src/server/migrations/before-records/database.sql.gz')
const site = 'ferrybank'

beforeAll(async () => {
  await openEmptyDatabase('upgrade_test')
  await database().query(gunzipSync(readFileSync(dump)).toString())
})
afterAll(closeTestDatabase)

const revision = async () => (await models().Site.findByPk(site))!.revision

test('a database of the version before comes up with everything that was in it', async () => {
  const before = await select<{ frame: unknown }>('select frame from sites where id = $1', [site])
  const pages = await select<{ id: string }>(
    'select id from pages where site_id = $1 order by position',
    [site],
  )
  expect(await migrate()).toEqual([
    '003-records',
    '004-site-looks',
    '005-exchanges-and-shapes',
    '006-shelf',
    '007-parts',
    '008-liveries',
    '009-escapes',
    '010-tones',
    '011-recipes',
    '012-looks-by-key',
    '013-exchanged-texts',
    '014-texts-exchanged-whole',
    '015-answers-of-plans',
    '016-packed-quickly',
    '017-groups-of-uses',
  ])
  expect(await bringUpToDate()).toBeGreaterThan(10)
  const docs = await loadWhole(site)
  const frame = readRecord('frame', before[0]!.frame)
  expect(stateText({ ...docs, frame })).toBe(stateText(docs))
  const order = await select<{ id: string }>(
    `select id from records where site_id = $1 and kind = 'page' order by position, id`,
    [site],
  )
  expect(order).toEqual(pages)
  expect(Object.keys(docs.pictures).sort()).toEqual(['boats', 'logo'])
  expect((await checkIndex()).faults).toEqual([])
  expect(await loadSite(localOwner, site)).toMatchObject({ ok: true, value: { undo: {} } })
  // A second start finds nothing to do.
  expect([await migrate(), await bringUpToDate()]).toEqual([[], 0])
})

test('its history is told as before, undone to the first change, and brought again to the byte', async () => {
  const history = await readHistory(localOwner, site)
  const told = history.ok ? history.value.entries.map((entry) => entry.told) : []
  expect(told).toEqual(expect.arrayContaining([expect.stringMatching(/^Swept #4a5d23/)]))
  const states = [stateText(await loadWhole(site))]
  for (;;) {
    const taken = await undo(localOwner, site, await revision())
    if (!taken.ok) {
      expect(taken.problem).toEqual({ code: 'nothing-to-undo' })
      break
    }
    states.push(stateText(await loadWhole(site)))
  }
  expect(states.length).toBeGreaterThan(8)
  const first = await loadWhole(site)
  expect(first.frame.palette.slots['moss' as never]).toBeUndefined()
  expect(first.frame.customCss).not.toContain('.note')
  for (const state of states.slice(0, -1).reverse()) {
    expect(await redo(localOwner, site, await revision())).toMatchObject({ ok: true })
    expect(stateText(await loadWhole(site))).toBe(state)
  }
})

test('its checkpoints can be gone back to', async () => {
  const listed = await listCheckpoints(localOwner, site)
  const checkpoint = listed.ok && listed.value.find(({ name }) => name === 'Before much')
  if (!checkpoint) throw new Error('no checkpoint')
  const intent = { type: 'restore', checkpoint: checkpoint.id } as const
  await carryOutWide(localOwner, site, 'any', intent)
  const docs = await loadWhole(site)
  expect(docs.frame.customCss).not.toContain('.note')
  expect(docs.frame.palette.slots['moss' as never]).toMatchObject({ value: '#4a5d23' })
})

test('a change of it that no longer leads anywhere closes the history there, and nothing else', async () => {
  await closeTestDatabase()
  await openEmptyDatabase('upgrade_test')
  await database().query(gunzipSync(readFileSync(dump)).toString())
  await database().query(
    `update edits set inverse = '[{"op":"replace","path":["frame","gone","x"],"value":1}]'
     where site_id = '${site}' and revision = 4`,
  )
  await migrate()
  await bringUpToDate()
  let steps = 0
  let problem: unknown
  for (;;) {
    const taken = await undo(localOwner, site, await revision())
    if (!taken.ok) {
      ;({ problem } = taken)
      break
    }
    steps += 1
  }
  expect(steps).toBeGreaterThan(3)
  expect(problem).toEqual({ code: 'history-closed' })
  await expect(loadWhole(site)).resolves.toBeTruthy()
  expect(isUnreadable(new Error('other'))).toBe(false)
})
