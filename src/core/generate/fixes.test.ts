import wcagContrast from 'wcag-contrast'
import { writeHex } from '../color'
import { decisionColor, failingRoles, themeReading } from '../resolve'
import type { RoleId } from '../roles'
import { type ColorDecision, type SlotId, type Theme } from '../site'
import { bearable, fixesFor, readableChoices } from './fixes'
import { palette, paletteOf, theme } from './frames.fixture'

describe('fixing', () => {
  const bad: Theme = {
    ...theme('on-paper'),
    roles: {
      ...theme('on-paper').roles,
      link: { slot: 'mist' } as never,
      buttonFill: { slot: 'ink' } as never,
      text: { value: '#ddddcc' },
    },
  }

  test.each(['link', 'text', 'buttonLabel'] as const)(
    '%s: two or three choices that read',
    (role) => {
      const choices = readableChoices(palette, bad, role)
      expect(choices.length).toBeGreaterThanOrEqual(2)
      for (const { decision, ratio } of choices) {
        expect(ratio).toBeGreaterThanOrEqual(4.5)
        const fixed = { ...bad, roles: { ...bad.roles, [role]: decision } }
        expect(themeReading(palette, fixed, role)!.passes).toBe(true)
      }
    },
  )

  test('the nearest shade is the nearest: one point less does not read (wcag-contrast)', () => {
    const nearest = readableChoices(palette, bad, 'link').find(
      ({ decision }) => 'slot' in decision && decision.slot === 'mist',
    )
    const { slot, shade } = nearest!.decision as { slot: SlotId; shade: { lightness: number } }
    const ratio = (lightness: number) =>
      Math.min(
        ...(['ground', 'surface'] as const).map((on) =>
          wcagContrast.hex(
            writeHex(decisionColor(palette, { slot, shade: { lightness } })),
            writeHex(decisionColor(palette, bad.roles[on])),
          ),
        ),
      )
    expect(ratio(shade.lightness)).toBeGreaterThanOrEqual(4.5)
    expect(ratio(shade.lightness + 1)).toBeLessThan(4.5)
  })

  test('all of a theme at once', () => {
    const fixes = fixesFor(palette, bad)
    const fixed = {
      ...bad,
      roles: { ...bad.roles, ...Object.fromEntries(fixes.map(({ role, after }) => [role, after])) },
    }
    expect(failingRoles(palette, [bad]).length).toBeGreaterThan(2)
    expect(failingRoles(palette, [fixed])).toEqual([])
  })

  test('a shade of the same hue comes first, unless a slot is nearer to what was meant', () => {
    const first = (role: RoleId, decision: ColorDecision) => {
      const failing = { ...bad, roles: { ...bad.roles, [role]: decision } }
      return readableChoices(palette, failing, role)[0]!.decision
    }
    const slate = 'slate' as SlotId
    expect(first('mutedText', { slot: slate, shade: { lightness: 4 } })).toMatchObject({
      slot: slate,
    })
    expect(first('link', { slot: 'mist' as SlotId })).toEqual({ slot: slate })
  })

  test('only some roles, and nothing else', () => {
    const [first] = fixesFor(palette, bad)
    expect(fixesFor(palette, bad, [first!.role])).toEqual([first])
    expect(fixesFor(palette, bad, ['line'])).toEqual([])
  })

  test('nothing to offer for what needs no contrast', () => {
    expect(readableChoices(palette, bad, 'line')).toEqual([])
  })
})

describe('what most themes have, where it would not read', () => {
  const paper = theme('on-paper')

  test('is taken in its nearest shade that reads', () => {
    const link = bearable(palette, paper, 'link', { slot: 'mist' as SlotId })
    expect(link).toMatchObject({ slot: 'mist', shade: { lightness: expect.any(Number) } })
    const now = { ...paper, roles: { ...paper.roles, link: link! } }
    expect(failingRoles(palette, [now]).map(({ role }) => role)).not.toContain('link')
  })

  test('is taken as it is where it reads, and for what needs no contrast', () => {
    expect(bearable(palette, paper, 'link', { slot: 'brand' as SlotId })).toEqual({ slot: 'brand' })
    expect(bearable(palette, paper, 'line', { slot: 'paper' as SlotId })).toEqual({ slot: 'paper' })
  })

  test('leaves what stands on it readable', () => {
    const fill = bearable(palette, paper, 'buttonFill', paper.roles.buttonLabel)
    const now = { ...paper, roles: { ...paper.roles, buttonFill: fill! } }
    expect(failingRoles(palette, [now]).map(({ role }) => role)).not.toContain('buttonLabel')
  })

  test('is left out where no shade of it does', () => {
    const onBlackAndWhite = {
      ...paper,
      roles: { ...paper.roles, ground: { value: '#777777' }, surface: { value: '#777777' } },
    }
    const clear = paletteOf('#0000')
    expect(bearable(clear, onBlackAndWhite, 'text', { slot: 's0' as SlotId })).toBeUndefined()
  })
})
