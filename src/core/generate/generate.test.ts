import fc from 'fast-check'
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
  type ColorDecision,
  type Frame,
  type Palette,
  type SlotId,
  type Theme,
} from '../site'
import { groundKind, type RoleId } from '../theme'
import { afterDark, darkEdition } from './dark-edition'
import { disagreements } from './disagreements'
import { bearable, fixesFor, readableChoices } from './fixes'
import { explainRole, generateThemes, planRegeneration } from './generated'
import { proposeRhythm, proposeRhythms, themesByKind } from './rhythm'

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

test('a loose colour among themes that agree is told, with what they have', () => {
  const found = disagreements(ternFrame)
  expect(found).toContainEqual(
    expect.objectContaining({
      role: 'buttonHoverFill',
      odd: [expect.objectContaining({ theme: theme('on-mist') })],
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

test('a rhythm alternates, uses the vivid theme once, near the end', () => {
  const kinds = themesByKind(ternFrame)
  const kindOf = (id: string) =>
    Object.entries(kinds).find(([, all]) => all.some((each) => each.id === id))![0]
  const rhythm = proposeRhythm(ternFrame, 8).map(kindOf)
  expect(rhythm).toEqual(['pale', 'pale', 'pale', 'dark', 'pale', 'pale', 'vivid', 'dark'])
  expect(proposeRhythm(ternFrame, 8)[0]).not.toBe(proposeRhythm(ternFrame, 8)[1])
  expect(proposeRhythm(ternFrame, 0)).toEqual([])
})

describe('rhythms for several pages', () => {
  const page = (...names: string[]) => names.map((name) => ({ name, theme: 'on-ink' }))

  test('sections of one name are alike wherever they stand', () => {
    const pages = [
      page('Opening', 'This month', 'The bench', 'Kind words', 'Join us', 'Newsletter'),
      page('Opening', 'Article', 'Newsletter '),
      page('Basket', 'newsletter'),
    ]
    const [first, second, third] = proposeRhythms(ternFrame, pages)
    expect(second![0]).toBe(first![0])
    expect(second![2]).toBe(first![5])
    expect(third![1]).toBe(first![5])
  })

  test('for one page, what other pages have is kept to', () => {
    const others = [[{ name: 'Newsletter', theme: 'on-brand' }]]
    const [only] = proposeRhythms(ternFrame, [page('Opening', 'Newsletter')], others)
    expect(only![1]).toBe('on-brand')
  })

  test('a section with a fill of its own keeps its theme, and so do those of its name', () => {
    const filled = { name: 'Newsletter', theme: 'on-ink', fill: { value: '#123456' } }
    const pages = [page('Opening', 'Newsletter'), [...page('Opening'), filled], [filled]]
    const [first, second, third] = proposeRhythms(ternFrame, pages)
    expect([first![1], second![1], third![0]]).toEqual(['on-ink', 'on-ink', 'on-ink'])
  })

  test('no two neighbours are alike, nor the last section and the footer, on any pages', () => {
    const footer = ternFrame.body.sections['footer' as never]!['theme']
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 1, max: 12 }), { maxLength: 6 }), (heights) => {
        const pages = heights.map((height, p) =>
          page(...Array.from({ length: height }, (_, i) => `Section ${p} ${i}`)),
        )
        for (const rhythm of proposeRhythms(ternFrame, pages)) {
          const down = [...rhythm, footer]
          down.slice(1).forEach((theme, i) => expect(theme).not.toBe(down[i]))
        }
      }),
    )
  })

  test('one theme is all there is: everything has it', () => {
    const [only] = ternFrame.themes.order
    const byId = { [only!]: ternFrame.themes.byId[only!]! }
    const frame = { ...ternFrame, themes: { ...ternFrame.themes, order: [only!], byId } }
    expect(proposeRhythms(frame as Frame, [page('a', 'b')])).toEqual([[only, only]])
  })
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
