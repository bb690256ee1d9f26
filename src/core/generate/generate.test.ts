import wcagContrast from 'wcag-contrast'
import { demoSites } from '@demo/sites'
import { ternFrame } from '@demo/tern/frame'
import { writeHex } from '../color'
import { applyEdit, type AnyEdit } from '../edit'
import { decisionColor, failingRoles, themeReading } from '../resolve'
import {
  frameSchema,
  slotSchema,
  themesInOrder,
  type Frame,
  type Palette,
  type Theme,
} from '../site'
import { groundKind } from '../theme'
import { afterDark, darkEdition } from './dark-edition'
import { disagreements } from './disagreements'
import { fixesFor, readableChoices } from './fixes'
import { explainRole, generateThemes, planRegeneration } from './generated'
import { proposeRhythm, themesByKind } from './rhythm'

const { palette } = ternFrame
const theme = (id: string) => ternFrame.themes.byId[id as Theme['id']]!
const edited = (frame: Frame, ...edits: unknown[]): Frame =>
  edits.reduce<Frame>((now, edit) => {
    const result = applyEdit({ frame: now, pages: {} }, edit as AnyEdit)
    if (!result.ok) throw new Error(result.problem)
    return result.docs.frame
  }, frame)
const paletteOf = (...values: Array<string | null>): Palette => {
  const slots = values.map((value, i) =>
    slotSchema.parse({ id: `s${i}`, name: `Slot ${i}`, value, was: [] }),
  )
  return {
    ...palette,
    order: slots.map(({ id }) => id),
    slots: Object.fromEntries(slots.map((slot) => [slot.id, slot])),
  }
}

describe('generated themes', () => {
  const made = generateThemes(palette)

  test('are named after their grounds, and everything in them reads', () => {
    expect(made.map(({ name }) => name)).toEqual([
      'On Paper',
      'On Mist',
      'On Spark',
      'On Brand',
      'On Ink',
    ])
    expect(failingRoles(palette, made)).toEqual([])
    expect(
      frameSchema.shape.themes.shape.byId.safeParse(
        Object.fromEntries(made.map((each) => [each.id, each])),
      ).success,
    ).toBe(true)
  })

  test('of shades are named after what stands in', () => {
    const names = generateThemes(paletteOf('#777777', null)).map(({ name }) => name)
    expect(names).toEqual(['On pale Slot 0', 'On dark Slot 0'])
    expect(generateThemes(paletteOf(null))).toEqual([])
    expect(generateThemes(paletteOf())).toEqual([])
  })

  test('take no name and no id that is there', () => {
    const again = generateThemes(palette, made)
    expect(again.map(({ name }) => name)).toEqual(made.map(({ name }) => `${name} 2`))
    expect(new Set([...made, ...again].map(({ id }) => id)).size).toBe(10)
  })

  test('each choice is explained', () => {
    expect(explainRole(palette, made[0]!, 'heading', 'Ink')).toBe('Ink on Paper, 14.7:1')
    expect(explainRole(palette, made[0]!, 'line', 'Paper −12')).toBe('Paper −12')
  })
})

describe('generating anew', () => {
  test('changes what was generated, keeps what a person decided, and shows both before', () => {
    const byHand = edited(ternFrame, {
      type: 'setRole',
      themes: ['on-paper'],
      role: 'link',
      decision: { value: '#990000' },
    })
    const plan = planRegeneration(byHand)
    expect(plan.kept).toContainEqual(
      expect.objectContaining({ theme: 'on-paper', role: 'link', before: { value: '#990000' } }),
    )
    expect(plan.changes.some(({ theme: id, role }) => id === 'on-paper' && role === 'link')).toBe(
      false,
    )
    expect(plan.add).toEqual([])
    const cells = plan.changes.map(({ theme: id, role, after }) => ({
      theme: id,
      role,
      decision: after,
    }))
    const next = edited(byHand, { type: 'setCells', told: 'Generated', cells, hand: false })
    expect(next.themes.byId['on-paper' as Theme['id']]!.roles.link).toEqual({ value: '#990000' })
    expect(planRegeneration(next).changes).toEqual([])
    expect(failingRoles(next.palette, themesInOrder(next.themes))).toEqual([])
  })

  test('adds a theme for a useful ground that has none, and skips a loose ground', () => {
    const { ['on-ink' as Theme['id']]: _gone, ...byId } = ternFrame.themes.byId
    const order = ternFrame.themes.order.filter((id) => id !== 'on-ink')
    const frame = edited(
      { ...ternFrame, themes: { order, byId } },
      {
        type: 'setRole',
        themes: ['on-mist'],
        role: 'ground',
        decision: { value: '#eeeeee' },
      },
    )
    const plan = planRegeneration(frame)
    expect(plan.add.map(({ name }) => name)).toContain('On Ink')
    expect(plan.skipped.map(({ id }) => id)).toEqual(['on-mist'])
  })
})

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
    const [nearest] = readableChoices(palette, bad, 'link')
    const { slot, shade } = nearest!.decision as { slot: string; shade: { lightness: number } }
    expect(slot).toBe('mist')
    const ratio = (lightness: number) =>
      Math.min(
        ...(['ground', 'surface'] as const).map((on) =>
          wcagContrast.hex(
            writeHex(decisionColor(palette, { slot, shade: { lightness } } as never)),
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

  test('nothing to offer for what needs no contrast', () => {
    expect(readableChoices(palette, bad, 'line')).toEqual([])
  })
})

test('a loose colour among themes that agree is told, with what they have', () => {
  const found = disagreements(ternFrame)
  expect(found).toContainEqual(
    expect.objectContaining({
      role: 'buttonHoverFill',
      odd: [expect.objectContaining({ id: 'on-mist' })],
    }),
  )
  expect(
    disagreements(
      edited(ternFrame, {
        type: 'setRole',
        themes: ['on-mist'],
        role: 'buttonHoverFill',
        decision: { slot: 'brand' },
      }),
    ),
  ).toEqual([])
})

test('a rhythm alternates, uses the vivid theme once, near the end', () => {
  const kinds = themesByKind(ternFrame)
  const kindOf = (id: string) =>
    Object.entries(kinds).find(([, all]) => all.some((each) => each.id === id))![0]
  const rhythm = proposeRhythm(ternFrame, 8).map(kindOf)
  expect(rhythm).toEqual(['pale', 'pale', 'pale', 'dark', 'pale', 'pale', 'vivid', 'dark'])
  expect(proposeRhythm(ternFrame, 8)[0]).not.toBe(proposeRhythm(ternFrame, 8)[1])
  expect(proposeRhythm(ternFrame, 0)).toEqual([])
})

describe('the dark edition', () => {
  const ramps = [['#777777'], ['#d65a2a'], ['#ffffff', '#3b5bdb'], ['#00000080', '#ffffff']]

  test.each(demoSites.map(({ frame }) => [frame.name, frame] as const))(
    '%s: every ground is dark or vivid, every pair reads',
    (_, frame) => {
      const dark = darkEdition(frame)
      const after = afterDark(edited(frame, { type: 'setEdition', edition: 'visitor', dark }))
      const themes = themesInOrder(after.themes)
      expect(failingRoles(after.palette, themes)).toEqual([])
      for (const { roles } of themes) {
        expect(groundKind(decisionColor(after.palette, roles.ground))).not.toBe('pale')
      }
    },
  )

  test.each(ramps)('any palette: %j', (...values) => {
    const own = paletteOf(...values)
    const themes = generateThemes(own)
    const frame = {
      ...ternFrame,
      palette: own,
      themes: {
        order: themes.map(({ id }) => id),
        byId: Object.fromEntries(themes.map((each) => [each.id, each])),
      },
    }
    const after = afterDark(
      edited(frame, { type: 'setEdition', edition: 'switch', dark: darkEdition(frame) }),
    )
    expect(failingRoles(own, themesInOrder(after.themes))).toEqual([])
  })
})
