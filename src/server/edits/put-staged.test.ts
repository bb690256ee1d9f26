import fc from 'fast-check'
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

beforeAll(() => openTestDatabase('put_staged_test'))
afterAll(closeTestDatabase)

const [green, plum, clay] = ['#0f7a3d', '#6b1f6b', '#a34a28']

const sweep = (...pairs: ReadonlyArray<readonly [string, string]>) =>
  carryOutWide(localOwner, siteId, 'any', {
    type: 'sweep',
    request: {
      pairs: pairs.map(([from, to]) => ({ from: { value: from, within: 0 }, to: { value: to } })),
      scope: 'site',
    } as SweepRequest,
  })

/** Paragraphs of the pages that have several: alike but for the colour of their words. */
async function paint(colors: readonly string[]): Promise<number> {
  const { pages } = await loadWhole(siteId)
  const settings = Object.values(pages).flatMap(({ id, body }) => {
    const paragraphs = Object.values(body.elements).filter(({ kind }) => kind === 'paragraph')
    if (paragraphs.length < 2) return []
    return paragraphs.map((each, i) => ({
      on: { doc: id as PageId, element: each.id as ElementId },
      key: 'text' as const,
      state: 'rest' as const,
      value: { value: colors[i % colors.length]! },
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

type Pair = readonly [from: string, to: string]

/** Sweeps, holds what is counted against what is read, and takes it back. */
async function sweptSoundly(pairs: readonly Pair[]): Promise<void> {
  const state = await stateOf(siteId)
  const colors = [green, plum, clay]
  const before = new Map<string, number>()
  for (const color of colors) before.set(color, (await looks(color)).things)
  expect(await sweep(...pairs)).toMatchObject({ ok: true })
  await expectSound()
  const went = new Map<string, string>(pairs)
  for (const color of colors) {
    const from = colors.filter((each) => (went.get(each) ?? each) === color)
    const things = from.reduce((sum, each) => sum + before.get(each)!, 0)
    expect((await looks(color)).things).toBe(things)
  }
  await undo(localOwner, siteId, await revisionOf(siteId))
  await expectSound()
  expect(await stateOf(siteId)).toBe(state)
}

test.each<[string, Pair, Pair]>([
  ['forth', [green, plum], [plum, clay]],
  ['back', [plum, clay], [green, plum]],
  ['to one that stays', [green, clay], [plum, green]],
])('looks of a chain of colours, %s, are counted as they are read', async (_, ...pairs) => {
  expect(await paint([green, plum])).toBeGreaterThan(2)
  await sweptSoundly(pairs)
})

test('looks of any pairs at once are counted as they are read', async () => {
  const seed = Date.now() % 1_000_000
  console.warn(`pairs of looks: seed ${seed}`)
  await paint([green, plum, clay])
  const color = fc.constantFrom(green, plum, clay, '#101820')
  const pairs = fc
    .uniqueArray(fc.tuple(fc.constantFrom(green, plum, clay), color), {
      minLength: 1,
      selector: ([from]) => from,
    })
    .filter((all) => all.every(([from, to]) => from !== to))
  await fc.assert(fc.asyncProperty(pairs, sweptSoundly), { seed, numRuns: 15 })
})

test('looks that change places, and ones that come to be one, are counted as they are read', async () => {
  expect(await paint([plum, green])).toBeGreaterThan(2)
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
