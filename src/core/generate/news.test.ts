import { ternFrame } from '@demo/tern/frame'
import fc from 'fast-check'
import { toOklab } from '../color'
import { applyEdit } from '../edit'
import { isTone, statuses } from '../palette'
import { decisionColor, failingRoles, slotColor } from '../resolve'
import { siteDocs, themesInOrder, type Frame } from '../site'
import { frameOf, paletteOf } from './frames.fixture'
import { newsGroup } from './generated'
import { newsOffer } from './news'
import { planRegeneration } from './regeneration'

const gaps = (frame: Frame) =>
  themesInOrder(frame.themes).flatMap(({ roles }) => {
    const [one, two, three] = statuses.map((role) =>
      toOklab(decisionColor(frame.palette, roles[role])),
    )
    const gap = (p: typeof one, q: typeof one) => Math.hypot(p!.l - q!.l, p!.a - q!.a, p!.b - q!.b)
    return [gap(one, two), gap(two, three), gap(one, three)]
  })

function taking(frame: Frame): Frame {
  const offer = newsOffer(frame)
  if (!offer) return frame
  const result = applyEdit(siteDocs(frame), {
    type: 'setSlots',
    told: 'News',
    values: [],
    add: [...offer.add],
    cells: [...offer.cells],
  })
  if (!result.ok) throw new Error(result.problem)
  return result.docs.frame
}

test('random palettes: good, caution and bad are told apart wherever more than near-white or near-black reads, and more so with the slots that are offered', () => {
  const seed = 20261130
  const [before, after]: [number[], number[]] = [[], []]
  fc.assert(
    fc.property(fc.array(fc.nat(0xffffff), { minLength: 1, maxLength: 7 }), (numbers) => {
      const frame = frameOf(numbers)
      before.push(...gaps(frame))
      const taken = taking(frame)
      after.push(...gaps(taken))
      // What could be read can be read.
      const hard = ({ palette, themes }: Frame) =>
        failingRoles(palette, themesInOrder(themes)).length
      expect(hard(taken)).toBeLessThanOrEqual(hard(frame))
      expect(newsOffer(taken)).toBeUndefined()
    }),
    { numRuns: 120, seed },
  )
  const share = (all: readonly number[], least: number) =>
    all.filter((gap) => gap >= least).length / all.length
  // On vivid grounds of middle lightness only what is nearly white reads on ground and card alike.
  expect(share(before, 0.06)).toBeGreaterThan(0.95)
  expect(share(after, 0.06)).toBeGreaterThan(0.97)
  expect(share(after, 0.06)).toBeGreaterThanOrEqual(share(before, 0.06))
})

test('only what is lacking is offered; what a person decided stays; nothing else takes the new colours', () => {
  const [first] = ternFrame.themes.order
  const own = applyEdit(siteDocs(ternFrame), {
    type: 'setRole',
    themes: [first!],
    role: 'danger',
    decision: { value: '#7a0019' },
  })
  if (!own.ok) throw new Error(own.problem)
  const taken = taking(own.docs.frame)
  expect(taken.themes.byId[first!]!.roles.danger).toEqual({ value: '#7a0019' })
  const fresh = Object.values(taken.palette.slots).filter(({ group }) => group === newsGroup)
  expect(fresh.length).toBeGreaterThan(0)
  for (const { id } of fresh) {
    expect(statuses.some((status) => isTone(status, slotColor(taken.palette, id)))).toBe(true)
  }
  const ids = new Set<string>(fresh.map(({ id }) => id))
  const others = planRegeneration(taken).changes.filter(
    ({ role, after }) =>
      'slot' in after && ids.has(after.slot) && !statuses.includes(role as never),
  )
  expect(others).toEqual([])
})

test('nothing is offered to an empty palette, and none is taken from a full one', () => {
  expect(newsOffer({ ...ternFrame, palette: paletteOf(null, null) })).toBeUndefined()
  const full = paletteOf(...Array.from({ length: 63 }, () => '#333333'))
  expect(newsOffer({ ...ternFrame, palette: full })).toBeUndefined()
})
