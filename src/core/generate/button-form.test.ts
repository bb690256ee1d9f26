import { ternFrame } from '@demo/tern/frame'
import fc from 'fast-check'
import { applyEdit } from '../edit'
import { decisionColor, failingRoles } from '../resolve'
import { roleIds } from '../roles'
import { siteDocs, themesInOrder, type Frame } from '../site'
import { buttonForms, type ButtonForm } from '../traits'
import { cellsOfForm } from './button-form'
import { edited, frameOf } from './frames.fixture'
import { planRegeneration } from './regeneration'

const isOfButton = (role: string) => /^(button|quiet)/.test(role)

const formed = (frame: Frame, buttonForm: ButtonForm): Frame =>
  edited(frame, {
    type: 'setSettings',
    settings: { buttonForm },
    cells: cellsOfForm(frame, buttonForm),
  })

const failing = ({ palette, themes }: Frame) => failingRoles(palette, themesInOrder(themes)).length

test('any palette, from any form to any other: all reads, and nothing but buttons is other than it was', () => {
  const seed = 20261127
  fc.assert(
    fc.property(
      fc.array(fc.nat(0xffffff), { minLength: 1, maxLength: 6 }),
      fc.constantFrom(...buttonForms),
      fc.constantFrom(...buttonForms),
      (numbers, first, second) => {
        const made = frameOf(numbers)
        const one = formed(made, first)
        const two = formed(one, second)
        expect([failing(made), failing(one), failing(two)]).toEqual([0, 0, 0])
        for (const theme of themesInOrder(two.themes)) {
          const before = made.themes.byId[theme.id]!
          const others = roleIds.filter((role) => theme.roles[role] !== before.roles[role])
          expect(others.filter((role) => !isOfButton(role))).toEqual([])
          const { alpha } = decisionColor(two.palette, theme.roles.buttonFill)
          expect(alpha < 1).toBe(second === 'outline' || second === 'underline')
        }
      },
    ),
    { numRuns: 60, seed },
  )
})

test('the colour that buttons are known by stays, there and back', () => {
  for (const form of ['outline', 'soft'] as const) {
    const there = formed(ternFrame, form)
    const back = formed(there, 'solid')
    for (const theme of themesInOrder(ternFrame.themes)) {
      const { buttonHoverFill } = there.themes.byId[theme.id]!.roles
      expect([theme.id, buttonHoverFill]).toEqual([theme.id, theme.roles.buttonFill])
      expect(back.themes.byId[theme.id]!.roles.buttonFill).toEqual(theme.roles.buttonFill)
    }
  }
})

test('what a person decided stays theirs where it goes; the rest may be generated anew in the same form', () => {
  const own = edited(ternFrame, {
    type: 'setRole',
    themes: [ternFrame.themes.order[0]!],
    role: 'buttonFill',
    decision: { value: '#7a1fa2' },
  })
  const outlined = formed(own, 'outline')
  const theme = outlined.themes.byId[own.themes.order[0]!]!
  expect(theme.roles.buttonHoverFill).toEqual({ value: '#7a1fa2' })
  expect(theme.hand).toContain('buttonHoverFill')
  expect(theme.hand).not.toContain('buttonFill')
  const again = planRegeneration(outlined).changes.filter(({ role }) => role === 'buttonFill')
  const isClear = (each: (typeof again)[number]['after']) =>
    decisionColor(outlined.palette, each).alpha === 0
  expect(again.every(({ after }) => isClear(after))).toBe(true)
})

test('an edition after dark goes along; a form with colours of a slot that is gone is refused whole', () => {
  const dark = edited(ternFrame, {
    type: 'setEdition',
    edition: 'visitor',
    dark: Object.fromEntries(themesInOrder(ternFrame.themes).map(({ id, roles }) => [id, roles])),
  })
  const cells = cellsOfForm(dark, 'underline')
  expect(new Set(cells.map((cell) => Boolean(cell.dark)))).toEqual(new Set([true, false]))
  const bad = { ...cells[0]!, decision: { slot: 'no-such-slot' } }
  const result = applyEdit(siteDocs(dark), {
    type: 'setSettings',
    settings: { buttonForm: 'underline' },
    cells: [bad] as never,
  })
  expect(result).toMatchObject({ ok: false, problem: 'slot-gone' })
})
