import { ternFrame } from '@demo/tern/frame'
import {
  exchange,
  paletteWith,
  trialOfHarmony,
  trialOfList,
  trialOfPicture,
  trialOfSeed,
  trialOfStudy,
  trialValues,
  wayName,
} from './trial'

const { palette } = ternFrame
const list =
  'Chalk #fbf8f1\nFog #dfe6e9\nHarbour #27496d\nRust #c0562f\nSlate #6b7280\nNight #14213d'
const toSlots = (trial: Parameters<typeof trialValues>[1]) =>
  Object.fromEntries(trialValues(palette, trial).map(({ slot, value }) => [slot, value]))

test('a pasted list finds the slots that its colours suit', () => {
  expect(toSlots(trialOfList(palette, list))).toEqual({
    paper: '#fbf8f1',
    mist: '#dfe6e9',
    brand: '#27496d',
    spark: '#c0562f',
    slate: '#6b7280',
    ink: '#14213d',
  })
  expect(trialOfList(palette, 'no colour')).toMatchObject({
    colors: [],
    given: [-1, -1, -1, -1, -1, -1],
  })
})

test('two slots exchange their colours; a slot can stay as it is', () => {
  const trial = trialOfList(palette, list)
  const swapped = exchange(trial, 0, trial.given[1]!)
  expect(toSlots(swapped)).toMatchObject({ paper: '#dfe6e9', mist: '#fbf8f1' })
  expect(toSlots(exchange(trial, 2, -1))).not.toHaveProperty('brand')
})

test('from one colour, from a study, from a picture', () => {
  const harmony = trialOfHarmony(palette, '#27496d', 'triadic')
  expect(harmony.colors).toHaveLength(6)
  expect(harmony.colors.map(({ value }) => value)).toContain('#27496d')
  expect(trialOfHarmony(palette, 'none', 'single').colors).toEqual([])
  const study = { id: 'plum', name: 'Plum', colors: [{ value: '#27496d', name: 'Harbour' }] }
  expect(toSlots(trialOfStudy(palette, study))).toEqual({ brand: '#27496d' })
  const found = [
    { value: '#27496d', share: 0.5, x: 0, y: 0 },
    { value: '#ffffff', share: 0.5, x: 1, y: 1 },
  ]
  expect(trialOfPicture(palette, 'blob:x', found, 1).colors).toEqual([{ value: '#27496d' }])
})

test('a reshuffle leaves locked slots and can be had again', () => {
  const locked = [palette.order[0]!, palette.order[5]!]
  const trial = trialOfSeed(palette, [7, 8], 1, locked)
  expect(trial).toEqual(trialOfSeed(palette, [7, 8], 1, locked))
  expect(Object.keys(toSlots(trial))).toEqual(expect.not.arrayContaining(['paper', 'ink']))
  expect(wayName(trial, [])).toBe('Reshuffle 8')
})

test('the palette as it would be leaves the present one alone', () => {
  const next = paletteWith(palette, [{ slot: palette.order[0]!, value: '#000' }])
  expect(next.slots[palette.order[0]!]!.value).toBe('#000')
  expect(palette.slots[palette.order[0]!]!.value).toBe('#F7F2E7')
})
