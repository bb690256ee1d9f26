import { ternFrame } from '@demo/tern/frame'
import { colorOf, toOklch } from '@/core/color'
import { colorNamer, nameJudge, readyMade, unshifted } from '@/core/palette'
import type { SlotId } from '@/core/site'
import { basisOf } from './basis'
import { firstOthers, othersAt, trialOfOthers, withStay } from './others'
import {
  exchange,
  freeSlots,
  leftOver,
  newNames,
  paletteWith,
  recolored,
  trialEdit,
  trialOfGrey,
  trialOfHarmony,
  trialOfOriginal,
  trialOfPicture,
  trialOfReadyMade,
  trialOfShift,
  trialOfStudy,
  trialValues,
  wayName,
  withFreeFilled,
} from './trial'
import { trialOfList } from './trial-of-list'

const { palette } = ternFrame
const basis = basisOf(ternFrame)
const list =
  'Chalk #fbf8f1\nFog #dfe6e9\nHarbour #27496d\nRust #c0562f\nSlate #6b7280\nNight #14213d'
const toSlots = (trial: Parameters<typeof trialValues>[1]) =>
  Object.fromEntries(trialValues(palette, trial).map(({ slot, value }) => [slot, value]))

test('colours that suit no slot can go to the free ones all the same: every colour or every slot is taken then', () => {
  const vivid = '#ff2d95\n#00c2ff\n#ffe100\n#7cff00\n#ff6a00\n#8f00ff'
  const trial = trialOfList(basis, vivid)
  expect(leftOver(trial).length).toBeGreaterThan(0)
  const before = trial.given.filter((index) => index >= 0)
  const filled = withFreeFilled(palette, trial)
  expect(leftOver(filled)).toEqual([])
  expect(freeSlots(filled)).toEqual([])
  expect(new Set(filled.given).size).toBe(filled.given.length)
  // What had a slot keeps it.
  expect(filled.given.filter((index) => before.includes(index))).toEqual(before)
})

test('a pasted list finds the slots that its colours suit', () => {
  expect(toSlots(trialOfList(basis, list))).toEqual({
    paper: '#fbf8f1',
    mist: '#dfe6e9',
    brand: '#27496d',
    spark: '#c0562f',
    slate: '#6b7280',
    ink: '#14213d',
  })
  expect(trialOfList(basis, 'no colour')).toMatchObject({
    colors: [],
    given: [-1, -1, -1, -1, -1, -1],
  })
})

test('two slots exchange their colours; a slot can stay as it is', () => {
  const trial = trialOfList(basis, list)
  const swapped = exchange(trial, 0, trial.given[1]!)
  expect(toSlots(swapped)).toMatchObject({ paper: '#dfe6e9', mist: '#fbf8f1' })
  expect(toSlots(exchange(trial, 2, -1))).not.toHaveProperty('brand')
})

test('from one colour, from a study, from a picture', () => {
  const harmony = trialOfHarmony(basis, '#27496d', 'triadic')
  expect(harmony.colors).toHaveLength(6)
  expect(harmony.colors.map(({ value }) => value)).toContain('#27496d')
  expect(trialOfHarmony(basis, 'none', 'single').colors).toEqual([])
  const study = { id: 'plum', name: 'Plum', colors: [{ value: '#27496d', name: 'Harbour' }] }
  expect(toSlots(trialOfStudy(basis, study))).toEqual({ brand: '#27496d' })
  const found = [
    { value: '#27496d', share: 0.5, x: 0, y: 0 },
    { value: '#ffffff', share: 0.5, x: 1, y: 1 },
  ]
  expect(trialOfPicture(basis, 'blob:x', found, 1).colors).toEqual([{ value: '#27496d' }])
})

test('others leave the slots that stay, can be had again, and leave nothing over', () => {
  const stays = [palette.order[0]!, palette.order[5]!]
  const from = {
    way: 'others',
    steps: [{ seed: 7 }, { seed: 8 }],
    at: 1,
    chosen: 2,
    stays,
  } as const
  const trial = trialOfOthers(palette, from)
  expect(trial).toEqual(trialOfOthers(palette, from))
  expect(Object.keys(toSlots(trial)).sort()).toEqual(['brand', 'mist', 'slate', 'spark'])
  expect(leftOver(trial)).toEqual([])
  expect(othersAt(palette, from)).toHaveLength(8)
  expect(wayName(trial, [])).toBe('Other palette 2.3')
  expect(toSlots(withStay(palette, from, stays[0]!))).toHaveProperty('paper')
})

test('brighter moves the whole palette but for what stays, and says which way', () => {
  const trial = trialOfShift(palette, { light: 30, vivid: 0, warm: -20 }, [palette.order[2]!])
  expect(Object.keys(toSlots(trial))).toEqual(expect.not.arrayContaining(['brand']))
  expect(Object.keys(toSlots(trial))).toHaveLength(5)
  expect(wayName(trial, [])).toBe('Lighter, cooler')
  expect(trialValues(palette, trialOfShift(palette, unshifted, []))).toEqual([])
  expect(wayName(trialOfShift(palette, unshifted, []), [])).toBe('As it is')
})

test('the palette as it would be leaves the present one alone', () => {
  const next = paletteWith(palette, [{ slot: palette.order[0]!, value: '#000' }])
  expect(next.slots[palette.order[0]!]!.value).toBe('#000')
  expect(palette.slots[palette.order[0]!]!.value).toBe('#F7F2E7')
})

describe('applying a trial', () => {
  const namer = { namer: () => 'Made-up name', isOutdated: () => false }

  test('is one edit of the slots that change; names only when they are wanted', () => {
    const trial = trialOfList(basis, 'Chalk #fbf8f1\nNight #14213d')
    const edit = trialEdit(palette, trial, 'A list', namer)
    expect(edit).toMatchObject({ type: 'setSlots', told: 'A list' })
    expect(JSON.stringify(edit)).not.toContain('Chalk')
    const named = trialEdit(palette, { ...trial, takeNames: true }, 'A list', namer)
    expect(named).toMatchObject({ values: [{ name: 'Chalk' }, { name: 'Night' }] })
  })

  test('adds what is left over as slots with names and ids of their own, as many as there is room for', () => {
    const eight = trialOfList(basis, `${list}\n#5b4a66\nAmber #e8a93c`)
    expect(leftOver(eight)).toHaveLength(2)
    const edit = trialEdit(palette, { ...eight, addRest: true }, 'x', namer) as {
      add: Array<{ id: string; name: string }>
    }
    expect(edit.add.map(({ name }) => name)).toEqual(['Made-up name', 'Amber'])
    const full = { ...palette, order: Array.from({ length: 64 }, () => palette.order[0]!) }
    expect(trialEdit(full, { ...eight, given: [], addRest: true }, 'x', namer)).not.toHaveProperty(
      'add',
    )
  })

  test('on a palette without slots, everything becomes one', () => {
    const none = { ...palette, order: [], slots: {} }
    const noBasis = { ...basis, palette: none }
    const trial = trialOfReadyMade(noBasis, 'Night ferry')
    expect(trial.addRest).toBe(true)
    const edit = trialEdit(none, trial, 'x', namer) as { add: Array<{ id: string }> }
    expect(new Set(edit.add.map(({ id }) => id)).size).toBe(6)
    expect(firstOthers(none).colors).toHaveLength(6)
    expect(trialOfHarmony(noBasis, '#27496d', 'triadic').colors).toHaveLength(6)
  })
})

test('greys keep lightness; the design’s own palette comes back, removed slots and all', () => {
  const grey = trialOfGrey(palette)
  expect(grey.colors.every(({ value }) => /^#(..)\1\1$/.test(value))).toBe(true)
  const order = palette.order.slice(1)
  const changed = {
    ...palette,
    order,
    slots: { ...palette.slots, [order[0]!]: { ...palette.slots[order[0]!]!, value: '#ff0000' } },
  }
  const original = trialOfOriginal(changed)
  expect(trialValues(changed, original)).toEqual([{ slot: order[0], value: '#DCE5E0' }])
  expect(
    trialEdit(changed, original, 'x', { namer: () => '', isOutdated: () => false }),
  ).toMatchObject({
    add: [{ name: 'Paper', value: '#F7F2E7' }],
  })
})

test('a colour of a trial is changed where it stands', () => {
  const trial = trialOfList(basis, list)
  const next = recolored(trial, trial.given[2]!, '#00ff00')
  expect(toSlots(next)).toMatchObject({ brand: '#00ff00', paper: '#fbf8f1' })
  expect(next.given).toBe(trial.given)
})

test('a ready-made palette by its name; none before one is chosen', () => {
  expect(trialOfReadyMade(basis).colors).toEqual([])
  expect(wayName(trialOfReadyMade(basis, 'Night ferry'), [])).toBe('Night ferry')
})

describe('what a slot is for counts before its lightness', () => {
  const chroma = (value: string) => toOklch(colorOf(value)!).c
  const most = (values: readonly string[]) =>
    values.reduce((best, each) => (chroma(each) > chroma(best) ? each : best))

  test('a palette with one vivid colour gives it to the accent, and no neutral takes it', () => {
    const given = toSlots(trialOfReadyMade(basis, 'Salt and paprika'))
    expect(given.spark).toBe('#c8472b')
    expect(chroma(given.ink ?? '#17211f')).toBeLessThan(0.05)
    expect(given.slate).not.toBe('#c8472b')
  })

  test.each(readyMade.map(({ name }) => name))(
    '%s: the accent takes the most vivid, and what carries words stays quieter than it',
    (name) => {
      const { colors } = readyMade.find((each) => each.name === name)!
      const given = toSlots(trialOfReadyMade(basis, name))
      expect(given.spark).toBe(most(colors))
      for (const neutral of ['slate', 'ink', 'paper'] as const) {
        if (given[neutral]) expect(chroma(given[neutral])).toBeLessThan(chroma(given.spark!))
      }
    },
  )

  test('one colour alone goes where it suits, not to the accent by rule', () => {
    expect(toSlots(trialOfList(basis, '#27496d'))).toEqual({ brand: '#27496d' })
  })
})

describe('names that no longer say the colour', () => {
  const list = { '577396': 'Clean Slate', '252024': 'Ink Black', c8472b: 'Paprika' }
  const names = { namer: colorNamer(list), isOutdated: nameJudge(list) }
  const at = palette.order.indexOf('slate' as SlotId)
  const red = {
    ...trialOfList(basis, ''),
    colors: [{ value: '#c8472b' }],
    given: palette.order.map((_, i) => (i === at ? 0 : -1)),
  }

  test('are offered new ones in the same step', () => {
    expect(newNames(palette, red, names)).toEqual([
      { slot: 'slate', before: 'Slate', name: 'Paprika' },
    ])
    expect(trialEdit(palette, red, 'x', names)).toMatchObject({
      values: [{ slot: 'slate', value: '#c8472b', name: 'Paprika' }],
    })
    const kept = trialEdit(palette, { ...red, rename: false }, 'x', names)
    expect(JSON.stringify(kept)).not.toContain('Paprika')
  })

  test('stay where they name a purpose, or still tell the truth', () => {
    const brand = palette.order.indexOf('brand' as SlotId)
    const given = palette.order.map((_, i) => (i === brand ? 0 : -1))
    expect(newNames(palette, { ...red, given }, names)).toEqual([])
    const grey = { ...red, colors: [{ value: '#55708a' }] }
    expect(newNames(palette, grey, names)).toEqual([])
  })
})

test('greys by harmony are the greys of the menu: every slot without its hue, none left out', () => {
  const harmony = trialOfHarmony(basis, '#7b3fa0', 'grey')
  expect(harmony).toMatchObject({
    colors: trialOfGrey(palette).colors,
    given: trialOfGrey(palette).given,
  })
  for (const { value } of harmony.colors) expect(toOklch(colorOf(value)!).c).toBeLessThan(0.005)
  expect(harmony.given).not.toContain(-1)
})
