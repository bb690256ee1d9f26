import type { Edit } from '@/core/edit'
import { sweepRequest } from '@/core/sweep'
import { localOwner } from '../access'
import {
  closeTestDatabase,
  openTestDatabase,
  revisionOf,
  save,
  siteId,
} from '../database/database.fixture'
import { models } from '../database/models'
import { dryRun } from '../uses'
import { carryOutWide } from './wide'

beforeAll(() => openTestDatabase('sweep_seen_test'))
afterAll(closeTestDatabase)

const request = sweepRequest.parse({
  pairs: [{ from: { value: '#1c5a54', within: 0 }, to: { value: '#6b2d5c' } }],
  scope: 'site',
})

const seen = async () => {
  const run = await dryRun(localOwner, siteId, request)
  if (!run.ok) throw new Error(run.problem.code)
  return { count: run.value.count, revision: run.value.revision }
}

test('a sweep is carried out as it was seen, or not at all; what came between is told', async () => {
  const expects = await seen()
  const css = { type: 'setCustomCss', css: 'a{color:#1c5a54}' } as Edit
  expect((await save(css)).ok).toBe(true)
  const [revision, checkpoints] = [await revisionOf(siteId), await models().Checkpoint.count()]
  const refusal = await carryOutWide(localOwner, siteId, 'any', { type: 'sweep', request, expects })
  expect(refusal).toMatchObject({
    ok: false,
    problem: { code: 'moved-on', expected: expects.count, since: ['Custom CSS changed'] },
  })
  expect([await revisionOf(siteId), await models().Checkpoint.count()]).toEqual([
    revision,
    checkpoints,
  ])

  const again = await seen()
  expect(!refusal.ok && refusal.problem).toMatchObject({ now: again.count })
  // What changes none of its uses does not stand in its way.
  expect((await save({ type: 'renameSite', name: 'Another name' } as Edit)).ok).toBe(true)
  const swept = await carryOutWide(localOwner, siteId, 'any', {
    type: 'sweep',
    request,
    expects: again,
  })
  expect(swept).toMatchObject({ ok: true, value: { changed: again.count } })
})
