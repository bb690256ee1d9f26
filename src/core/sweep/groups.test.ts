import fc from 'fast-check'
import { colorKey, colorOf, difference, lightness, type Color } from '../color'
import { anyColor } from '../color/random-color.fixture'
import type { SlotId } from '../site'
import { groupEntries, orderGroups, type InventoryOrder } from './groups'
import type { InventoryEntry } from './inventory'

const entry = (color: Color, count: number): InventoryEntry => ({
  key: colorKey(color),
  color,
  notations: [],
  count,
  bindable: count,
  places: [],
})
const of = (text: string, count: number) => entry(colorOf(text)!, count)
const keys = (groups: ReturnType<typeof groupEntries>) =>
  groups.map(({ members }) => members.map(({ key }) => key))

const anyEntries = fc
  .uniqueArray(fc.tuple(anyColor, fc.integer({ min: 1, max: 50 })), {
    maxLength: 40,
    selector: ([color]) => colorKey(color),
  })
  .map((list) => list.map(([color, count]) => entry(color, count)))

describe('colours that are one to the eye', () => {
  test('stand with the most used of them, transparent variants with the opaque one', () => {
    const entries = [of('#205c58', 3), of('#1c5a54', 12), of('#1c5a5440', 2), of('#2e6fb7', 5)]
    expect(keys(groupEntries(entries, 2))).toEqual([
      ['1c5a54ff', '205c58ff', '1c5a5440'],
      ['2e6fb7ff'],
    ])
    expect(keys(groupEntries(entries, 0))).toEqual([
      ['205c58ff'],
      ['1c5a54ff', '1c5a5440'],
      ['2e6fb7ff'],
    ])
  })

  test('what is bound stands by itself', () => {
    const bound = { ...of('#1c5a54', 4), key: 'slot:brand', slot: 'brand' as SlotId }
    expect(keys(groupEntries([bound, of('#1c5a54', 12)], 20))).toEqual([
      ['slot:brand'],
      ['1c5a54ff'],
    ])
  })

  test('every entry is in one group, near its head, and heads are further apart; as if all were compared', () => {
    fc.assert(
      fc.property(anyEntries, fc.constantFrom(0, 1, 2, 5, 20), (entries, within) => {
        const groups = groupEntries(entries, within)
        const members = groups.flatMap((group) => group.members)
        expect([...members].sort(byKey)).toEqual([...entries].sort(byKey))
        const gap = (a: InventoryEntry, b: InventoryEntry) => difference(a.color, b.color)
        for (const { head, members: own, count } of groups) {
          expect(own[0]).toBe(head)
          expect(count).toBe(own.reduce((sum, each) => sum + each.count, 0))
          for (const each of own) expect(gap(head, each)).toBeLessThanOrEqual(within)
        }
        const heads = groups.map(({ head }) => head)
        heads.forEach((a, i) => {
          for (const b of heads.slice(i + 1)) expect(gap(a, b)).toBeGreaterThan(within)
        })
      }),
    )
  })
})

const byKey = (a: InventoryEntry, b: InventoryEntry) => (a.key < b.key ? -1 : 1)

test('groups are ordered by palette, use, lightness, hue or area', () => {
  const groups = groupEntries([of('red', 1), of('white', 2), of('#777', 9), of('blue', 3)], 1)
  const names = (order: Parameters<typeof orderGroups>[1]) =>
    orderGroups(groups, order).map(({ head }) => head.key.slice(0, 6))
  expect(names('palette')).toEqual(['777777', '0000ff', 'ffffff', 'ff0000'])
  const slot = { ...of('black', 2), key: 'slot:ink', slot: 'ink' as SlotId }
  const withSlot = [...groups, { head: slot, members: [slot], count: 2 }]
  const heads = (order: InventoryOrder) =>
    orderGroups(withSlot, order).map(({ head }) => head.key.slice(0, 6))
  expect(heads('palette')).toEqual(['slot:i', '777777', '0000ff', 'ffffff', 'ff0000'])
  expect(heads('used')).toEqual(['777777', '0000ff', 'ffffff', 'slot:i', 'ff0000'])
  expect(names('lightness')).toEqual(['ffffff', 'ff0000', '777777', '0000ff'])
  expect(names('hue')).toEqual(['ffffff', '777777', 'ff0000', '0000ff'])
  const areaOf = ({ key }: InventoryEntry) => ({ ff0000: 0.5, '0000ff': 0.2 })[key.slice(0, 6)] ?? 0
  expect(orderGroups(groups, 'area', areaOf).map(({ head }) => head.key.slice(0, 6))).toEqual([
    'ff0000',
    '0000ff',
    'ffffff',
    '777777',
  ])
  fc.assert(
    fc.property(anyEntries, (entries) => {
      const shown = orderGroups(groupEntries(entries, 0), 'lightness')
      const all = shown.map(({ head }) => lightness(head.color))
      expect(all).toEqual([...all].sort((a, b) => b - a))
    }),
  )
})
