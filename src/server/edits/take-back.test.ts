import type { Edit } from '@/core/edit'
import { sweepRequest } from '@/core/sweep'
import { canonicalJson } from '@/core/site'
import { localOwner } from '../access'
import {
  closeTestDatabase,
  openTestDatabase,
  revisionOf,
  save,
  siteId,
} from '../database/database.fixture'
import { loadWhole } from '../records'
import { takeCheckpoint } from './checkpoints'
import { readHistory } from './history'
import { undo } from './step'
import { takeBack } from './take-back'
import { carryOutWide } from './wide'

beforeAll(() => openTestDatabase('take_back_test'))
afterAll(closeTestDatabase)

const request = sweepRequest.parse({
  pairs: [{ from: { value: '#1c5a54', within: 2 }, to: { value: '#6b2d5c' } }],
  scope: 'site',
})

const sweep = async () => {
  const swept = await carryOutWide(localOwner, siteId, 'any', { type: 'sweep', request })
  if (!swept.ok) throw new Error(swept.problem.code)
  return swept.value.revision
}
const keep = async (edit: unknown) => expect((await save(edit as Edit)).ok).toBe(true)
const back = (revision: number, leaves: boolean) =>
  takeBack(localOwner, siteId, 'any', { revision, leaves })
const now = async () => {
  const { frame, pages, pictures } = await loadWhole(siteId)
  return { frame, pages, pictures }
}

test('a sweep is taken back after other work, every byte of it, and that work stays', async () => {
  const before = await now()
  const revision = await sweep()
  // A checkpoint of the state after it is none of the state before, whatever it is called.
  await takeCheckpoint(localOwner, siteId, revision, 'Before: lunch')
  const css = (await now()).frame.customCss
  await keep({ type: 'setCustomCss', css: `/* a note */\n${css}\n.new { color: teal }` })
  await keep({ type: 'renameSite', name: 'Renamed since' })
  const history = await readHistory(localOwner, siteId)
  const entries = history.ok ? history.value.entries : []
  expect(entries.find((each) => each.revision === revision)?.takesBack).toBe(true)
  // Whatever came right after a state that was kept can be, and nothing else.
  expect(entries.flatMap((each) => (each.takesBack ? [each.revision] : []))).toEqual([
    revision + 1,
    revision,
  ])

  expect(await back(revision, false)).toMatchObject({ ok: true })
  const after = await now()
  expect(after.frame.customCss).toBe(
    `/* a note */\n${before.frame.customCss}\n.new { color: teal }`,
  )
  expect(canonicalJson({ ...after, frame: { ...after.frame, customCss: '', name: '' } })).toBe(
    canonicalJson({ ...before, frame: { ...before.frame, customCss: '', name: '' } }),
  )
  // It is a change like any other.
  await undo(localOwner, siteId, await revisionOf(siteId))
  expect((await now()).frame.customCss).toContain('#6b2d5c')
  expect(await back(revision, false)).toMatchObject({ ok: true })
})

test('what was changed since is told by where it is, and left where one says so', async () => {
  const revision = await sweep()
  const swept = await now()
  const addOn = swept.frame.addOns.find(({ kind }) => kind === 'chat')!
  await keep({
    type: 'setAddOn',
    id: addOn.id,
    settings: { 'launcher.background': { value: 'navy' } },
  })
  const state = canonicalJson(await now())
  const refusal = await back(revision, false)
  expect(refusal).toMatchObject({
    ok: false,
    problem: { code: 'touched', count: 1, labels: ['Help-desk chat, button'] },
  })
  expect(canonicalJson(await now())).toBe(state)

  expect(await back(revision, true)).toMatchObject({ ok: true })
  const after = await now()
  expect(after.frame.addOns.find(({ kind }) => kind === 'chat')!.settings).toMatchObject({
    'launcher.background': { value: 'navy' },
  })
  expect(after.frame.customCss).not.toContain('#6b2d5c')
})

test('what was undone, never was, or was not kept is refused in words', async () => {
  await keep({ type: 'renameSite', name: 'Once more' })
  const last = await revisionOf(siteId)
  for (const revision of [last, 99_999]) {
    expect(await back(revision, true)).toMatchObject({ ok: false, problem: { code: 'not-kept' } })
  }
})
