import { ternFrame } from '@demo/tern/frame'
import { colorKey } from '../color'
import type { SlotId, ThemeId } from '../site'
import { decisionColor } from './decision'
import { roleMeetings, slotMeetings } from './meetings'
import { failingRoles, seenGrounds, themeReading } from './theme-reading'

const { palette, themes } = ternFrame
const paper = themes.byId['on-paper' as ThemeId]!

test('a role meets what it stands on, and what stands on it', () => {
  expect(roleMeetings(palette, paper, 'link').map(({ on }) => on)).toEqual(['ground', 'surface'])
  const [label] = roleMeetings(palette, paper, 'buttonFill')
  expect(label).toMatchObject({ role: 'buttonLabel', isGround: true, needs: 4.5 })
  expect(colorKey(label!.other)).toBe(colorKey(decisionColor(palette, paper.roles.buttonLabel)))
})

test('a slot meets by itself, not by its shades', () => {
  const meetings = slotMeetings(palette, themes, 'brand' as SlotId)
  expect(meetings.some(({ theme, role }) => theme.id === 'on-paper' && role === 'link')).toBe(true)
  expect(meetings.some(({ theme, role }) => theme.id === 'on-paper' && role === 'linkHover')).toBe(
    false,
  )
})

test('a fill that lets through is judged over ground and cards', () => {
  expect(seenGrounds(palette, paper, 'quietFill')).toHaveLength(2)
  const clear = {
    ...paper,
    roles: {
      ...paper.roles,
      surface: { slot: 'ink' as SlotId },
      quietLabel: { slot: 'brand' as SlotId },
    },
  }
  // Brand reads on paper and not on a card of ink, where the outline button stands too.
  expect(themeReading(palette, clear, 'quietLabel')!.passes).toBe(false)
  expect(failingRoles(palette, [clear]).map(({ role }) => role)).toContain('quietLabel')
})
