import fc from 'fast-check'
import { over, toOklab, writeHex, type Color } from '../color'
import { anyColor, anyOpaque } from '../color/random-color.fixture'
import { groundsOfRole, rolePairs } from '../elements'
import { roleIds, roles, type RoleId } from '../roles'
import { buttonForms } from '../traits'
import { themeGenerator, type GeneratedRoles, type GivenRoles } from './generate'
import {
  colorOfDecision,
  outOfTurn,
  pairsThatFail,
  referenceContrast,
  seenGroundsOf,
  vanishing,
} from './reference.fixture'

const loose = (color: Color) => ({ decision: { value: writeHex(color) }, color })
const givenRoles = (given: Partial<Record<RoleId, Color>>): GivenRoles =>
  Object.fromEntries(Object.entries(given).map(([role, color]) => [role, loose(color)]))

const anyGiven = fc
  .uniqueArray(fc.constantFrom(...roleIds.filter((id) => id !== 'ground')), { maxLength: 9 })
  .chain((ids) =>
    fc.record(
      Object.fromEntries(
        ids.map((id) => [id, fc.oneof({ weight: 5, arbitrary: anyOpaque }, anyColor)]),
      ) as Record<RoleId, fc.Arbitrary<Color>>,
    ),
  )

const greys = Array.from({ length: 256 }, (_, i) => ({
  r: i / 255,
  g: i / 255,
  b: i / 255,
  alpha: 1,
}))
const lowest = (color: Color, grounds: readonly Color[]) =>
  Math.min(...grounds.map((ground) => referenceContrast(over(color, ground), ground)))

/** A hair above what is needed: a band of greys this narrow may hold no shade of a palette. */
const NARROW = 1.04

/** Why a failing pair cannot be helped: both are given, or what is given leaves no grey that reads. */
function excused(
  made: GeneratedRoles,
  given: Partial<Record<RoleId, Color>>,
  role: RoleId,
  on: RoleId,
): boolean {
  const color = (id: RoleId) => colorOfDecision([], made[id])
  if (!given[role]) {
    const grounds = groundsOfRole(role).flatMap((each) => seenGroundsOf(color, each))
    return greys.every((grey) => lowest(grey, grounds) < roles[role].needs! * NARROW)
  }
  if (given[on] || on === 'ground') return true
  // Cards take the ground where no other colour serves: then it is the ground that does not.
  if (on === 'surface')
    return lowest(color(role), seenGroundsOf(color, 'ground')) < roles[role].needs!
  // A hint alone does not turn the fields around it dark or pale.
  if (role === 'fieldHint' && !given.fieldText) {
    const [field, card] = [color('fieldGround'), color('surface')].map((each) => toOklab(each).l)
    return Math.abs(field! - card!) <= 0.16
  }
  const borne = rolePairs.filter((pair) => pair.on === on && given[pair.role])
  return greys.every((grey) =>
    borne.some((pair) => lowest(color(pair.role), [grey]) < pair.needs * NARROW),
  )
}

test('around what is given, a pair fails only where nothing can help: any palette, ground and given roles (wcag-contrast)', () => {
  let count = 0
  fc.assert(
    fc.property(
      fc.array(anyOpaque, { minLength: 1, maxLength: 12 }),
      anyColor,
      anyGiven,
      fc.constantFrom(...buttonForms),
      (colors, ground, given, form) => {
        const palette = colors.map((color, i) => ({ id: `s${i}`, color }))
        const made = themeGenerator(palette, form)(
          { value: writeHex(ground) },
          ground,
          givenRoles(given),
        )
        for (const [id, color] of Object.entries(given)) {
          expect(made[id as RoleId]).toEqual({ value: writeHex(color) })
        }
        const absolute = Object.fromEntries(
          Object.entries(made).map(([id, decision]) => [
            id,
            { value: writeHex(colorOfDecision(palette, decision)) },
          ]),
        ) as GeneratedRoles
        const failing = pairsThatFail(palette, made).filter((pair) => {
          const [, role, on] = /^(\w+) on (\w+)/.exec(pair)!
          return !excused(absolute, given, role as RoleId, on as RoleId)
        })
        expect(failing).toEqual([])
        const seen = (id: RoleId) => colorOfDecision(palette, made[id])
        const isFree = (...ids: RoleId[]) => ids.every((id) => !given[id])
        if (isFree('surface', 'fieldGround', 'mutedText', 'fieldHint', 'text', 'fieldText'))
          expect(outOfTurn(seen)).toEqual([])
        if (isFree('buttonFill', 'buttonHoverFill', 'buttonLine'))
          expect(vanishing(seen)).toEqual([])
        count += Object.keys(given).length
      },
    ),
    { numRuns: 200 },
  )
  expect(count).toBeGreaterThan(120)
})

test('where neither the fill nor the words tell a button from ground and cards, its line does', () => {
  const deepBlue = { r: 0, g: 0.1098, b: 0.6275, alpha: 1 }
  const given = {
    surface: { r: 0, g: 0.1686, b: 0.8078, alpha: 1 },
    buttonLabel: { r: 0.3686, g: 0.9922, b: 0.1569, alpha: 1 },
  }
  const palette = [{ id: 's0', color: deepBlue }]
  for (const form of buttonForms) {
    const make = themeGenerator(palette, form)
    const made = make({ value: '#ffffff' }, { r: 1, g: 1, b: 1, alpha: 1 }, givenRoles(given))
    expect(vanishing((id) => colorOfDecision(palette, made[id]))).toEqual([])
  }
})

test('a hint by hand that cannot be read costs itself: fields of a pale theme stay pale', () => {
  const white = { r: 1, g: 1, b: 1, alpha: 1 }
  const palette = [
    { id: 's0', color: white },
    { id: 's1', color: { r: 0.09, g: 0.13, b: 0.12, alpha: 1 } },
  ]
  for (const hint of [0.75, 0.85, 0.95]) {
    const given = givenRoles({ fieldHint: { r: hint, g: hint, b: hint, alpha: 1 } })
    const made = themeGenerator(palette)({ slot: 's0' }, white, given)
    const plain = themeGenerator(palette)({ slot: 's0' }, white)
    const lightness = (roles: GeneratedRoles) =>
      toOklab(colorOfDecision(palette, roles.fieldGround)).l
    expect(Math.abs(lightness(made) - lightness(plain))).toBeLessThan(0.16)
    // Nothing else is hard to read, or looks another way, for its sake.
    expect(pairsThatFail(palette, made).every((pair) => pair.startsWith('fieldHint'))).toBe(true)
    expect(made.buttonFill).toEqual(plain.buttonFill)
  }
})

test('a slot that can be seen through is no colour for words, lines and fills', () => {
  const clear = { r: 0.1, g: 0.3, b: 0.3, alpha: 0.4 }
  const palette = [
    { id: 's0', color: { r: 1, g: 1, b: 1, alpha: 1 } },
    { id: 's1', color: clear },
  ]
  const { ground: _ground, ...made } = themeGenerator(palette)({ slot: 's0' }, palette[0]!.color)
  for (const [role, decision] of Object.entries(made)) {
    if (role === 'quietFill' || role === 'quietHoverFill') continue
    expect([role, colorOfDecision(palette, decision).alpha]).toEqual([role, 1])
  }
})
