import { randomUUID } from 'node:crypto'
import { changedDocs, inverseOf, type Edit } from '@/core/edit'
import { localOwner, type Actor } from '../access'
import {
  closeTestDatabase,
  openTestDatabase,
  revisionOf,
  save,
  siteId,
  stateOf,
  stateText,
  stranger,
} from '../database/database.fixture'
import { models } from '../database/models'
import { migrate, migrationNames, unmigrate } from '../migrations/migrate'
import {
  carryOutWide,
  stepAtOnce,
  listCheckpoints,
  readHistory,
  redo,
  saveEdits,
  takeCheckpoint,
  undo,
} from '.'
import { tell } from '../database/sets'
import { loadWhole, tidyUp } from '../records'
import { loadPage, loadSite } from '../sites'
import { changesOf } from './edit-records'
import { usesInSite } from '@/core/uses'
import { isBound, type SiteDocs, type SlotId } from '@/core/site'
import type { ColorDecision } from '@/core/site'
import type { SweepRequest } from '@/core/sweep'
import { checkIndex, dryRun, inventory, planHits } from '../uses'

const applySweep = (actor: Actor, site: string, base: number, request: SweepRequest) =>
  carryOutWide(actor, site, base, { type: 'sweep', request })
const removeSlot = (actor: Actor, site: string, base: number, slot: SlotId, to: ColorDecision) =>
  carryOutWide(actor, site, base, { type: 'removeSlot', slot, to })
const returnToCheckpoint = (actor: Actor, site: string, base: number, checkpoint: string) =>
  carryOutWide(actor, site, base, { type: 'restore', checkpoint })

beforeAll(() => openTestDatabase('edits_test'))
afterAll(closeTestDatabase)

const setBrand = (value: string) => ({ type: 'setSlot', slot: 'brand', value }) as unknown as Edit
const giveTheme = (section: string, theme: string) =>
  ({ type: 'setSectionTheme', sections: [{ doc: 'home', section }], theme }) as unknown as Edit

test('edits are stored in order, with inverses, and the history grows only', async () => {
  const before = await stateOf(siteId)
  const start = await revisionOf(siteId)
  const saved = await save(setBrand('#2a4d8f'), giveTheme('bench', 'on-ink'))
  expect(saved).toMatchObject({ ok: true, value: { revision: start + 2, undo: {} } })
  const after = await stateOf(siteId)

  await undo(localOwner, siteId, start + 2)
  await undo(localOwner, siteId, start + 3)
  expect(await stateOf(siteId)).toBe(before)
  await redo(localOwner, siteId, start + 4)
  const again = await stepAtOnce(localOwner, siteId, start + 5, 'redo')
  expect(await stateOf(siteId)).toBe(after)
  expect(again.ok && again.value.redo).toBeUndefined()

  const history = await readHistory(localOwner, siteId)
  expect(history.ok && history.value.entries.slice(0, 6).map(({ kind }) => kind)).toEqual([
    'redo',
    'redo',
    'undo',
    'undo',
    'do',
    'do',
  ])
})

test('a new change after an undo leaves the undone one behind', async () => {
  await save(setBrand('#111111'))
  await undo(localOwner, siteId, await revisionOf(siteId))
  await save(setBrand('#222222'))
  const nothing = await redo(localOwner, siteId, await revisionOf(siteId))
  expect(nothing).toEqual({ ok: false, problem: { code: 'nothing-to-redo' } })
})

test('replaying the stored changes from the first gives the current documents', async () => {
  const rows = await models().Edit.findAll({ where: { siteId }, order: [['revision', 'ASC']] })
  const made = await Promise.all(
    rows.map(async ({ kind, revision, target }) => {
      const changes = await changesOf(siteId, target ?? revision, 'forth')
      if (changes === 'closed') throw new Error('closed')
      return kind === 'undo' ? inverseOf(changes) : changes
    }),
  )
  let docs = await loadWhole(siteId)
  const now = stateText(docs)
  for (const changes of [...made].reverse()) docs = changedDocs(docs, inverseOf(changes))!
  for (const changes of made) docs = changedDocs(docs, changes)!
  expect(rows.length).toBeGreaterThan(5)
  expect(stateText(docs)).toBe(now)
})

test('an edit from a window that is behind is stored, and told with all that it had missed', async () => {
  const revision = await revisionOf(siteId)
  await save(giveTheme('bench', 'on-mist'), { type: 'renameSlot', slot: 'ink', name: 'Night' })
  const clientId = randomUUID()
  const late = await saveEdits(localOwner, siteId, revision, [
    { clientId, edit: setBrand('#333333') },
  ])
  if (!late.ok) throw new Error(late.problem.code)
  expect(late.value.revision).toBe(revision + 3)
  const { entries } = late.value
  expect(entries.map((entry) => entry.revision)).toEqual([1, 2, 3].map((n) => revision + n))
  expect(entries.map(({ records }) => records.map(({ kind, id }) => `${kind}/${id}`))).toEqual([
    ['page/home'],
    ['frame/frame'],
    ['frame/frame'],
  ])
  expect(entries[2]).toMatchObject({ clientId, told: 'Brand set to #333333' })
  await undo(localOwner, siteId, revision + 3)
})

test('undo from a window that is behind is refused, for it would take back what was not seen', async () => {
  const revision = await revisionOf(siteId)
  const before = await stateOf(siteId)
  expect(await undo(localOwner, siteId, revision - 1)).toEqual({
    ok: false,
    problem: { code: 'stale', revision },
  })
  expect(await stateOf(siteId)).toBe(before)
})

test('an edit that is sent twice is stored once', async () => {
  const base = await revisionOf(siteId)
  const pending = [{ clientId: randomUUID(), edit: setBrand('#444444') }]
  const first = await saveEdits(localOwner, siteId, base, pending)
  const second = await saveEdits(localOwner, siteId, base, pending)
  expect(first).toEqual(second)
  expect(await revisionOf(siteId)).toBe(base + 1)
})

test('of several edits, one that cannot be done takes all back', async () => {
  const before = await stateOf(siteId)
  const revision = await revisionOf(siteId)
  const refused = await save(setBrand('#555555'), giveTheme('nowhere', 'on-ink'))
  expect(refused).toMatchObject({
    ok: false,
    problem: { code: 'edit-refused', problem: 'section-gone' },
  })
  expect(await stateOf(siteId)).toBe(before)
  expect(await revisionOf(siteId)).toBe(revision)
})

test('windows that save at once are stored one behind the other', async () => {
  const base = await revisionOf(siteId)
  const attempt = (value: string) =>
    saveEdits(localOwner, siteId, base, [{ clientId: randomUUID(), edit: setBrand(value) }])
  const results = await Promise.all([attempt('#660000'), attempt('#006600'), attempt('#000066')])
  expect(results.filter(({ ok }) => ok)).toHaveLength(3)
  expect(await revisionOf(siteId)).toBe(base + 3)
})

describe('who may do what', () => {
  const reader = { userId: 'a-reader' }
  beforeAll(async () => {
    const { User, Member } = models()
    await User.create({ id: reader.userId, name: 'Reader' })
    await Member.create({ workspaceId: 'demo', userId: reader.userId, role: 'reader' })
  })

  test('a reader looks and does not change', async () => {
    expect((await loadSite(reader, siteId)).ok).toBe(true)
    const base = await revisionOf(siteId)
    const edits = [{ clientId: randomUUID(), edit: setBrand('#777777') }]
    const forbidden = { ok: false, problem: { code: 'forbidden' } }
    expect(await saveEdits(reader, siteId, base, edits)).toEqual(forbidden)
    expect(await undo(reader, siteId, base)).toEqual(forbidden)
    expect(await takeCheckpoint(reader, siteId, base, 'x')).toEqual(forbidden)
  })

  test('a stranger does not even learn that a site is there', async () => {
    const gone = { ok: false, problem: { code: 'not-found' } }
    expect(await loadSite(stranger, siteId)).toEqual(gone)
    expect(await loadPage(stranger, siteId, 'home')).toEqual(gone)
    expect(await inventory(stranger, siteId)).toEqual(gone)
    expect(await loadSite(localOwner, 'no-such-site')).toEqual(gone)
  })
})

describe('sweep', () => {
  const request = {
    pairs: [{ from: { value: '#1c5a54', within: 0 }, to: { slot: 'brand' } }],
    scope: 'site',
  } as unknown as Parameters<typeof dryRun>[2]

  test('what the dry run lists is what is changed; a checkpoint comes first; undo is exact', async () => {
    const before = await stateOf(siteId)
    const planned = await dryRun(localOwner, siteId, request)
    expect(await stateOf(siteId)).toBe(before)
    const swept = await applySweep(localOwner, siteId, await revisionOf(siteId), request)
    expect(planned.ok && swept.ok && planned.value.count === swept.value.changed).toBe(true)

    const checkpoints = await listCheckpoints(localOwner, siteId)
    expect(checkpoints.ok && checkpoints.value[0]!.name).toMatch(/^Before: Swept #1c5a54 to Brand/)
    const again = await dryRun(localOwner, siteId, request)
    expect(again.ok && again.value.count).toBe(0)

    const after = await stateOf(siteId)
    await undo(localOwner, siteId, await revisionOf(siteId))
    expect(await stateOf(siteId)).toBe(before)
    const id = checkpoints.ok ? checkpoints.value[0]!.id : ''
    await redo(localOwner, siteId, await revisionOf(siteId))
    expect(await stateOf(siteId)).toBe(after)
    await returnToCheckpoint(localOwner, siteId, await revisionOf(siteId), id)
    expect(await stateOf(siteId)).toBe(before)
    await undo(localOwner, siteId, await revisionOf(siteId))
    expect(await stateOf(siteId)).toBe(after)
  })

  test('from a stale window, or with nothing ticked, it changes nothing and leaves no checkpoint', async () => {
    const before = await stateOf(siteId)
    const count = await models().Checkpoint.count()
    const revision = await revisionOf(siteId)
    const loose = {
      ...request,
      pairs: [{ from: { value: '#2e6fb7', within: 0 }, to: { slot: 'spark' } }],
    } as unknown as typeof request
    const stale = await applySweep(localOwner, siteId, revision - 1, loose)
    expect(stale).toMatchObject({ ok: false, problem: { code: 'stale' } })
    const planned = await dryRun(localOwner, siteId, loose)
    const plan = planned.ok ? planned.value.plan : ''
    const hits = await planHits(localOwner, siteId, plan, { from: 0, count: 500 })
    const without = hits.ok ? hits.value.hits.map(({ key }) => key) : []
    expect(without.length).toBeGreaterThan(3)
    const none = await applySweep(localOwner, siteId, revision, {
      ...loose,
      ticks: { except: without },
    })
    expect(none).toEqual({ ok: false, problem: { code: 'nothing-to-sweep' } })
    expect(await stateOf(siteId)).toBe(before)
    expect(await models().Checkpoint.count()).toBe(count)
  })
})

describe('removing a slot', () => {
  const slot = 'slate' as SlotId
  const docsNow = (): Promise<SiteDocs> => loadWhole(siteId)
  const refers = ({ frame, pages }: SiteDocs) =>
    usesInSite(frame, Object.values(pages)).filter(
      ({ decision }) => isBound(decision) && decision.slot === slot,
    ).length

  test.each([
    ['another slot', { slot: 'ink' as SlotId }],
    ['a shade of one', { slot: 'ink' as SlotId, shade: { lightness: 20 } }],
    ['a loose colour', { value: '#5c6866' }],
  ])(
    'gives its uses to %s, leaves nothing that points at it, and comes back whole',
    async (_told, to) => {
      const before = await stateOf(siteId)
      expect(refers(await docsNow())).toBeGreaterThan(5)
      const removed = await removeSlot(localOwner, siteId, await revisionOf(siteId), slot, to)
      expect(removed.ok).toBe(true)
      const after = await docsNow()
      expect(after.frame.palette.slots[slot]).toBeUndefined()
      // The design's own themes stay as they came: they are what one goes back to.
      const { original: _came, ...themes } = after.frame.themes
      const now = { ...after, frame: { ...after.frame, themes } }
      expect(stateText(now)).not.toMatch(/"slot":"slate"|--slot-slate/)
      await undo(localOwner, siteId, await revisionOf(siteId))
      expect(await stateOf(siteId)).toBe(before)
    },
  )

  test('cannot be given to itself or to a slot that is not there', async () => {
    for (const to of [{ slot }, { slot: 'moss' as SlotId }]) {
      const refused = await removeSlot(localOwner, siteId, await revisionOf(siteId), slot, to)
      expect(refused).toMatchObject({
        ok: false,
        problem: { code: 'edit-refused', problem: 'slot-gone' },
      })
    }
  })
})

test('what is kept beside a record does not depend on the order of its members', async () => {
  const { pages } = await loadWhole(siteId)
  const [home] = Object.values(pages)
  const elements = Object.fromEntries(
    ['z-10', 'z-9', 'a-1'].map((id, n) => [
      id,
      {
        id,
        kind: 'divider',
        content: {},
        looks: { line: { rest: { value: `#00000${n}` } } },
      },
    ]),
  )
  const [first] = home!.body.order
  const { looks: _fill, ...opening } = home!.body.sections[first!]!
  const section = { ...opening, children: ['z-10', 'z-9', 'a-1'] }
  const body = { order: [first], sections: { [first!]: section }, elements }
  const page = { ...home, id: 'unordered', path: 'unordered', order: 'a9', body }
  expect(await save({ type: 'addPage', page })).toMatchObject({ ok: true })
  expect((await checkIndex(siteId)).faults).toEqual([])
  await undo(localOwner, siteId, await revisionOf(siteId))
})

test('a snippet that runs something, or loads from elsewhere, is not stored', async () => {
  const { pages } = await loadWhole(siteId)
  const [home] = Object.values(pages)
  const html = '<p style="color:red">hi<script>x()</script></p>'
  const elements = { e: { id: 'e', kind: 'embed', content: { name: 'Chat', html } } }
  const [first] = home!.body.order
  const { looks: _fill, ...opening } = home!.body.sections[first!]!
  const section = { ...opening, children: ['e'] }
  const body = { order: [first], sections: { [first!]: section }, elements }
  const page = { ...home, id: 'snippets', path: 'snippets', order: 'a9', body }
  expect(await save({ type: 'addPage', page })).toMatchObject({
    ok: false,
    problem: { code: 'edit-refused', problem: 'unclean-snippet' },
  })
})

test('of several edits, the one whose file name is taken is named, not the last one', async () => {
  const { pages } = await loadWhole(siteId)
  const page = { ...Object.values(pages)[0]!, id: 'again', path: 'about', order: 'a9' }
  const edits = [{ type: 'addPage', page }, setBrand('#112233')].map((edit) => ({
    clientId: randomUUID(),
    edit: edit as unknown as Edit,
  }))
  const state = await stateOf(siteId)
  expect(await saveEdits(localOwner, siteId, 0, edits)).toEqual({
    ok: false,
    problem: { code: 'edit-refused', problem: 'path-taken', clientId: edits[0]!.clientId },
  })
  expect(await stateOf(siteId)).toBe(state)
})

test('a text that a record goes back to is not tidied away beneath it', async () => {
  await save(setBrand('#0a0a0a'))
  const before = await stateOf(siteId)
  await save(setBrand('#0b0b0b'))
  await tell(`update contents set at = now() - interval '2 hours' where site_id = $1`, [siteId])
  await Promise.all([undo(localOwner, siteId, await revisionOf(siteId)), tidyUp(), tidyUp()])
  expect(await stateOf(siteId)).toBe(before)
})

test('wide edits come to their end while the site is changed without a pause', async () => {
  let running = true
  let saved = 0
  const saver = (async () => {
    while (running) {
      const value = `#${(saved += 1).toString(16).padStart(6, '0')}`
      const css = `.a { color: #1c5a54 } .b { fill: ${value} }`
      await save(
        setBrand(value),
        { type: 'setCustomCss', css },
        giveTheme('bench', saved % 2 ? 'on-ink' : 'on-mist'),
      )
    }
  })()
  for (let n = 0; n < 6; n += 1) {
    const from = { value: '#1c5a54', within: 0 }
    const to = { value: `#abcde${n}` }
    const request = { pairs: [{ from, to }], scope: 'site' } as SweepRequest
    const swept = await carryOutWide(localOwner, siteId, 'any', { type: 'sweep', request })
    expect(swept).toMatchObject({ ok: true })
  }
  running = false
  await saver
  expect((await checkIndex(siteId)).faults).toEqual([])
}, 30_000)

test('the migrations lead down to nothing and up again', async () => {
  await unmigrate()
  const [tables] = await models().sequelize.query(
    "select table_name from information_schema.tables where table_schema = 'public' and table_name <> 'migrations'",
  )
  expect(tables).toEqual([])
  expect(await migrate()).toEqual(migrationNames)
})
