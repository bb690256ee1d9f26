import type { ElementId, PageId } from '@/core/site'
import type { SweepRequest } from '@/core/sweep'
import { localOwner } from '../access'
import {
  closeTestDatabase,
  openTestDatabase,
  revisionOf,
  save,
  siteId,
  stateOf,
} from '../database/database.fixture'
import { select } from '../database/sets'
import { loadWhole } from '../records'
import { checkIndex } from '../uses'
import { carryOutWide, undo } from '.'

jest.setTimeout(60_000)
beforeAll(() => openTestDatabase('put_staged_test'))
afterAll(closeTestDatabase)

const [green, plum] = ['#0f7a3d', '#6b1f6b']

const sweep = (...pairs: ReadonlyArray<readonly [string, string]>) =>
  carryOutWide(localOwner, siteId, 'any', {
    type: 'sweep',
    request: {
      pairs: pairs.map(([from, to]) => ({ from: { value: from, within: 0 }, to: { value: to } })),
      scope: 'site',
    } as SweepRequest,
  })

/** Paragraphs, two and two on the pages that have as many: alike but for the colour of their words. */
async function paint(): Promise<number> {
  const { pages } = await loadWhole(siteId)
  const settings = Object.values(pages).flatMap(({ id, body }) => {
    const paragraphs = Object.values(body.elements).filter(({ kind }) => kind === 'paragraph')
    if (paragraphs.length < 2) return []
    return paragraphs.map((each, i) => ({
      on: { doc: id as PageId, element: each.id as ElementId },
      key: 'text' as const,
      state: 'rest' as const,
      value: { value: i % 2 ? green : plum },
    }))
  })
  await save({ type: 'setLooks', settings } as never)
  return new Set(settings.map(({ on }) => on.doc)).size
}

/** Looks of pages by the colour that is in them: how many rows, and how many things look so. */
async function looks(color: string) {
  const [row] = await select<{ rows: number; things: number }>(
    `select count(*)::int as rows, coalesce(sum(count), 0)::int as things
     from looks where site_id = $1 and look like $2`,
    [siteId, `%${color}%`],
  )
  return row!
}

async function expectSound() {
  expect((await checkIndex(siteId)).faults).toEqual([])
}

test('looks that change places, and ones that come to be one, are counted as they are read', async () => {
  expect(await paint()).toBeGreaterThan(2)
  const [greens, plums] = [await looks(green), await looks(plum)]
  expect(greens.things).toBeGreaterThan(2)
  expect(plums.things).toBeGreaterThan(2)
  const state = await stateOf(siteId)

  expect(await sweep([green, plum], [plum, green])).toMatchObject({ ok: true })
  await expectSound()
  expect(await looks(green)).toEqual(plums)
  expect(await looks(plum)).toEqual(greens)

  expect(await sweep([green, plum])).toMatchObject({ ok: true })
  await expectSound()
  expect(await looks(green)).toEqual({ rows: 0, things: 0 })
  const one = await looks(plum)
  expect(one.things).toBe(greens.things + plums.things)
  // On some page both stood side by side.
  expect(one.rows).toBeLessThan(greens.rows + plums.rows)

  expect(await sweep([plum, '#101820'])).toMatchObject({ ok: true })
  await expectSound()
  for (let i = 0; i < 3; i += 1) await undo(localOwner, siteId, await revisionOf(siteId))
  await expectSound()
  expect(await stateOf(siteId)).toBe(state)
})
