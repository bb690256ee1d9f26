import { demoSites } from '@demo/sites'
import { ternFrame } from '@demo/tern/frame'
import { decisionColor, failingRoles } from '../resolve'
import type { RoleId } from '../roles'
import { themesInOrder, type ColorDecision, type Frame, type Theme } from '../site'
import { groundKind } from '../theme'
import { afterDark, darkEdition, withDark } from './dark-edition'
import { edited, paletteOf, solid } from './frames.fixture'
import { generateThemeOn, generateThemes } from './generated'
import { planDarkEdition } from './regeneration'

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
    const themes = generateThemes(solid(own))
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

  describe('once a site has one', () => {
    const paper = 'on-paper' as Theme['id']
    const site = edited(ternFrame, {
      type: 'setEdition',
      edition: 'visitor',
      dark: darkEdition(ternFrame),
    })
    const decide = (frame: Frame, cells: Partial<Record<RoleId, ColorDecision>>, hand = true) =>
      edited(frame, {
        type: 'setCells',
        told: 'Decided',
        cells: Object.entries(cells).map(([role, decision]) => ({
          theme: paper,
          role,
          decision,
          dark: true,
        })),
        hand,
      })
    const generated = (frame: Frame, plan = planDarkEdition(frame)) =>
      edited(frame, {
        type: 'setCells',
        told: 'Generated',
        cells: plan.changes.map(({ theme, role, after }) => ({
          theme,
          role,
          decision: after,
          dark: true,
        })),
        hand: false,
      })
    const failing = (frame: Frame) =>
      failingRoles(frame.palette, themesInOrder(afterDark(frame).themes))

    test('generating anew would change nothing', () => {
      expect(planDarkEdition(site)).toEqual({ changes: [], kept: [], add: [] })
    })

    test('after another palette it is made readable again', () => {
      const pale = edited(
        site,
        ...['ink', 'brand', 'spark'].map((slot) => ({ type: 'setSlot', slot, value: '#f3e9d2' })),
      )
      expect(failing(pale).length).toBeGreaterThan(5)
      const next = generated(pale)
      expect(failing(next)).toEqual([])
      expect(next.themes.byId[paper]!.roles).toEqual(pale.themes.byId[paper]!.roles)
    })

    test('what a person decided after dark stays, and the rest is made around it', () => {
      const frame = decide(site, {
        ground: { value: '#30343c' },
        buttonFill: { value: '#ffe08a' },
        buttonLabel: { value: '#ffffff' },
      })
      const own = decide(frame, { buttonLabel: { value: '#ffffff' } }, false)
      expect(own.themes.byId[paper]).toMatchObject({ darkHand: ['ground', 'buttonFill'], hand: [] })
      expect(failing(own).length).toBeGreaterThan(0)
      expect(planDarkEdition(own).kept.map(({ role }) => role)).toEqual(['ground', 'buttonFill'])
      const next = generated(own)
      expect(failing(next)).toEqual([])
      expect(next.themes.byId[paper]!.dark).toMatchObject({
        ground: { value: '#30343c' },
        buttonFill: { value: '#ffe08a' },
      })
      expect(planDarkEdition(next).changes).toEqual([])
    })

    test('single roles go back to generated, the ground as well', () => {
      const frame = decide(site, { ground: { value: '#30343c' }, link: { value: '#ffffff' } })
      const first = site.themes.byId[paper]!.dark!
      const ground = darkEdition(frame, ['ground'])[paper]!
      expect(ground).toMatchObject({ ground: first.ground, link: { value: '#ffffff' } })
      const link = darkEdition(frame, ['link'])[paper]!
      expect(link.ground).toEqual({ value: '#30343c' })
      expect(link.link).not.toEqual({ value: '#ffffff' })
      expect(darkEdition(frame, ['ground', 'link'])[paper]).toEqual(first)
    })

    test('overruled, it is as it was at first', () => {
      const frame = decide(site, { ground: { value: '#30343c' }, link: { value: '#ffffff' } })
      const next = generated(frame, planDarkEdition(frame, { overrule: true }))
      expect(next.themes.byId[paper]!.dark).toEqual(site.themes.byId[paper]!.dark)
      expect(next.themes.byId[paper]!.darkHand).toEqual([])
    })

    test('themes that join it have a dark edition, too; where there is none they do not', () => {
      const [made] = generateThemes(solid(paletteOf('#fafafa', '#101010')))
      const own = generateThemeOn(solid(site.palette), { slot: 'slate' } as never, [])!
      const [joined] = withDark(site, [own])
      const frame = edited(site, { type: 'addTheme', theme: joined })
      expect(failing(frame)).toEqual([])
      expect(groundKind(decisionColor(site.palette, joined!.dark!.ground))).toBe('dark')
      expect(planDarkEdition(frame).changes).toEqual([])
      expect(withDark(ternFrame, [made!])).toEqual([made])
    })

    test('an empty palette gives none', () => {
      const bare = { ...site, palette: paletteOf(null) }
      expect(darkEdition(bare)).toEqual({})
      expect(planDarkEdition(bare)).toEqual({ changes: [], kept: [], add: [] })
    })
  })
})
