import { ternFrame } from '@demo/tern/frame'
import { failingRoles } from '../resolve'
import type { RoleId } from '../roles'
import { themesInOrder, type ColorDecision, type Frame, type SlotId, type Theme } from '../site'
import { edited, palette, paletteOf } from './frames.fixture'
import { afterChanges, lightEdition, planRegeneration } from './regeneration'

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

  test('adds a theme for a useful ground that has none', () => {
    const { ['on-ink' as Theme['id']]: _gone, ...byId } = ternFrame.themes.byId
    const order = ternFrame.themes.order.filter((id) => id !== 'on-ink')
    const plan = planRegeneration({ ...ternFrame, themes: { order, byId } })
    expect(plan.add.map(({ name }) => name)).toEqual(['On Ink'])
  })

  const regenerated = (frame: Frame, plan = planRegeneration(frame)): Frame =>
    edited(frame, {
      type: 'setCells',
      told: 'Generated',
      cells: plan.changes.map(({ theme: id, role, after }) => ({
        theme: id,
        role,
        decision: after,
      })),
      hand: false,
    })
  const byHand = (frame: Frame, id: string, cells: Partial<Record<RoleId, ColorDecision>>) =>
    edited(
      frame,
      ...Object.entries(cells).map(([role, decision]) => ({
        type: 'setRole',
        themes: [id],
        role,
        decision,
      })),
    )
  const failing = ({ palette: own, themes }: Frame) =>
    failingRoles(own, themesInOrder(themes)).map(({ theme: { id }, role }) => `${id} ${role}`)

  test('what is made stands on what a person decided, and under it', () => {
    const frame = byHand(ternFrame, 'on-paper', {
      buttonFill: { value: '#ffe08a' },
      quietHoverLabel: { slot: 'spark' as SlotId },
      fieldText: { value: '#ffffff' },
      surface: { value: '#c8d4cd' },
    })
    const next = regenerated(frame)
    expect(failing(next)).toEqual([])
    const { roles } = next.themes.byId['on-paper' as Theme['id']]!
    expect(roles).toMatchObject({ buttonFill: { value: '#ffe08a' }, surface: { value: '#c8d4cd' } })
    expect(planRegeneration(next).changes).toEqual([])
    expect(
      afterChanges(frame.themes, planRegeneration(frame).changes).map(({ roles: own }) => own),
    ).toEqual(themesInOrder(next.themes).map(({ roles: own }) => own))
  })

  test('where cards leave no colour that reads on both, words read on the ground', () => {
    const frame = byHand(ternFrame, 'on-paper', { surface: { slot: 'ink' as SlotId } })
    const [paper] = afterChanges(frame.themes, planRegeneration(frame).changes)
    const failing = failingRoles(palette, [paper!])
    expect(failing.length).toBeGreaterThan(5)
    expect(new Set(failing.map(({ reading }) => reading.on))).toEqual(new Set(['surface']))
  })

  test('a loose ground stays, and the theme is made on it', () => {
    const frame = byHand(ternFrame, 'on-mist', { ground: { value: '#7a7a7a' } })
    expect(failing(frame)).toContain('on-mist text')
    const next = regenerated(frame)
    expect(failing(next)).toEqual([])
    expect(next.themes.byId['on-mist' as Theme['id']]!.roles.ground).toEqual({ value: '#7a7a7a' })
  })

  test('overruled, nothing of what a person decided is left but the ground', () => {
    const frame = byHand(ternFrame, 'on-paper', { link: { value: '#990000' } })
    const plan = planRegeneration(frame, { overrule: true })
    expect(plan.kept).toEqual([])
    expect(plan.changes).toContainEqual(
      expect.objectContaining({ theme: 'on-paper', role: 'link', before: { value: '#990000' } }),
    )
    expect(failing(regenerated(frame, plan))).toEqual([])
  })

  test('single cells go back to what suits the others that a person decided', () => {
    const frame = byHand(ternFrame, 'on-paper', {
      buttonFill: { slot: 'ink' as SlotId },
      buttonLabel: { slot: 'ink' as SlotId },
    })
    const own = frame.themes.byId['on-paper' as Theme['id']]!
    const label = lightEdition(frame, ['buttonLabel'])[own.id]!
    expect(label.buttonFill).toEqual({ slot: 'ink' })
    expect(label.buttonLabel).toEqual({ slot: 'mist' })
    expect(lightEdition(frame, ['buttonLabel', 'buttonFill'])[own.id]!.buttonFill).toEqual({
      slot: 'spark',
    })
    expect(lightEdition({ ...frame, palette: paletteOf(null) })).toEqual({})
  })
})
