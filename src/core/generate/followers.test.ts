import { ternFrame } from '@demo/tern/frame'
import fc from 'fast-check'
import wcagContrast from 'wcag-contrast'
import { over, white, writeHex } from '../color'
import { groundsOfRole } from '../elements'
import { decisionColor, seenGrounds, themeReading } from '../resolve'
import { followersOf, roleIds, roles, type RoleId } from '../roles'
import { isBound, themesInOrder, type ColorDecision, type Palette, type Theme } from '../site'
import { paletteOf, solid } from './frames.fixture'
import { generateThemes } from './generated'
import { cellsAlong, followers } from './followers'

const fills = [
  'buttonFill',
  'buttonHoverFill',
  'quietFill',
  'quietHoverFill',
  'fieldGround',
] as const

/** The lowest ratio of a role on all that it stands on, as the reference library has it. */
function ratioOf(palette: Palette, theme: Theme, role: RoleId): number {
  const color = decisionColor(palette, theme.roles[role])
  const ratios = groundsOfRole(role).flatMap((on) =>
    seenGrounds(palette, theme, on).map((ground) => {
      const under = over(ground, white)
      return wcagContrast.hex(writeHex(over(color, under)), writeHex(under))
    }),
  )
  return Math.min(...ratios)
}

test('what goes along with a fill reads on it, whatever the fill is (contrast by wcag-contrast)', () => {
  const seed = 20261126
  let tried = 0
  fc.assert(
    fc.property(
      fc.array(fc.nat(0xffffff), { minLength: 1, maxLength: 7 }),
      fc.nat(99),
      fc.constantFrom(...fills),
      fc.nat(99),
      fc.integer({ min: -30, max: 30 }),
      (values, themeAt, role, slotAt, lightness) => {
        const palette = paletteOf(...values.map((n) => `#${n.toString(16).padStart(6, '0')}`))
        const themes = generateThemes(solid(palette))
        const theme = themes[themeAt % themes.length]!
        const slot = palette.order[slotAt % palette.order.length]!
        const decision: ColorDecision = lightness ? { slot, shade: { lightness } } : { slot }
        const made = followers(solid(palette), theme, role, decision)
        const after = { ...theme, roles: { ...theme.roles, [role]: decision, ...made } }
        for (const follower of followersOf(role)) {
          const { needs } = roles[follower]
          if (!needs) continue
          tried += 1
          // Hex rounds a colour by up to half a byte.
          expect(ratioOf(palette, after, follower)).toBeGreaterThanOrEqual(needs - 0.06)
        }
      },
    ),
    { seed, numRuns: 300 },
  )
  console.warn(`followers: seed ${seed}, ${tried} pairs`)
})

test('a card whose ground turns dark takes along what then reads; the rest stays', () => {
  const { palette } = ternFrame
  const paper = themesInOrder(ternFrame.themes)[0]!
  const ink = palette.order.at(-1)!
  const made = followers(solid(palette), paper, 'surface', { slot: ink })
  const changed = Object.keys(made) as RoleId[]
  expect(
    changed.every((role) => groundsOfRole(role).includes('surface') || role === 'linkHover'),
  ).toBe(true)
  // No word reads on Paper and on Ink alike: those that cannot be helped stay what they were.
  const after = { ...paper, roles: { ...paper.roles, surface: { slot: ink }, ...made } }
  for (const role of changed) expect(themeReading(palette, after, role)?.passes).not.toBe(false)
  expect(followers(solid(palette), paper, 'surface', paper.roles.surface)).toEqual({})
})

test('a decision for a role that nothing goes along with changes nothing else', () => {
  const theme = themesInOrder(ternFrame.themes)[0]!
  const decision = { slot: ternFrame.palette.order[3]! }
  for (const role of roleIds) {
    const made = followers(solid(ternFrame.palette), theme, role, decision)
    expect(Object.keys(made)).not.toContain(role)
    if (role === 'line' || role === 'focus') expect(made).toEqual({})
  }
  expect(
    Object.values(followers(solid(ternFrame.palette), theme, 'buttonFill', decision)).every(
      isBound,
    ),
  ).toBe(true)
})

test('what a person decided stays as long as it reads, and cells go along theme by theme', () => {
  const { palette, themes } = ternFrame
  const paper = { ...themesInOrder(themes)[0]!, hand: ['buttonLabel', 'buttonLine'] as RoleId[] }
  const [light, dark] = [palette.order[0]!, palette.order.at(-1)!]
  const held = { ...paper, roles: { ...paper.roles, buttonLabel: { slot: light } } }
  // The pale label reads on the dark fill and stays; on a pale fill it cannot.
  const onDark = followers(solid(palette), held, 'buttonFill', { slot: dark })
  expect(onDark).not.toHaveProperty('buttonLabel')
  expect(onDark).not.toHaveProperty('buttonLine')
  expect(followers(solid(palette), held, 'buttonFill', { slot: light })).toHaveProperty(
    'buttonLabel',
  )

  const decided = themes.order.map((theme) => ({
    theme,
    role: 'buttonFill' as RoleId,
    decision: { slot: light },
  }))
  const along = cellsAlong(ternFrame, decided)
  expect(new Set(along.map(({ theme }) => theme)).size).toBeGreaterThan(2)
  expect(along.every(({ role, hand }) => role !== 'buttonFill' && hand === false)).toBe(true)
  const both = [...decided, ...decided.map((cell) => ({ ...cell, role: 'buttonLabel' as RoleId }))]
  expect(cellsAlong(ternFrame, both).some(({ role }) => role === 'buttonLabel')).toBe(false)
})
