import { demoSites } from '@demo/sites'
import { addOnKindIds, addOnKindOf } from '../add-ons'
import type { Change } from '../changes'
import { parseColor } from '../color'
import {
  addOnColors,
  addOnSchema,
  addOnStep,
  addOnText,
  initialSettings,
  isColorDecision,
  type AddOn,
} from './add-on'
import { isBound } from './paint'

const { addOns } = demoSites[0]!.frame

/** As add-ons were kept before they were of a kind. */
const before = addOns.map(({ id, name, settings: own }) => ({
  id,
  name,
  settings: Object.fromEntries(
    Object.entries(own).map(([key, setting]) => [
      key,
      isColorDecision(setting) && !isBound(setting) ? setting.value : setting,
    ]),
  ),
}))

test('those that were kept before are known by their settings, their colours to the letter', () => {
  const { addOns: after } = addOnStep.record({ addOns: before }) as { addOns: readonly AddOn[] }
  expect(after).toEqual(addOns)
  const odd = { id: 'odd', name: 'Odd', settings: { tint: '#1c5a54', 'button.label': 'none' } }
  const step = addOnStep.record({ addOns: [odd] }) as { addOns: readonly AddOn[] }
  expect(step.addOns).toEqual([{ ...odd, kind: 'other' }])
  for (const each of step.addOns) expect(addOnSchema.safeParse(each).success).toBe(true)
})

test.each<[string, Change, Change | undefined]>([
  [
    'a stretch of a colour',
    { path: ['addOns', 0, 'settings', 'launcher.background'], at: 0, out: '#1C5A54', in: '#00f' },
    {
      path: ['addOns', 0, 'settings', 'launcher.background', 'value'],
      at: 0,
      out: '#1C5A54',
      in: '#00f',
    },
  ],
  [
    'a colour as a whole',
    { path: ['addOns', 0, 'settings', 'button.label'], from: '#FFF', to: 'teal' },
    {
      path: ['addOns', 0, 'settings', 'button.label'],
      from: { value: '#FFF' },
      to: { value: 'teal' },
    },
  ],
  [
    'words',
    { path: ['addOns', 0, 'settings', 'greeting'], from: 'a', to: 'b' },
    { path: ['addOns', 0, 'settings', 'greeting'], from: 'a', to: 'b' },
  ],
  [
    'add-ons in the list',
    { path: ['addOns'], at: 0, out: [before[0]!], in: [] },
    { path: ['addOns'], at: 0, out: [addOns[0]!], in: [] },
  ],
  [
    'something else',
    { path: ['customCss'], at: 0, out: '', in: 'a' },
    { path: ['customCss'], at: 0, out: '', in: 'a' },
  ],
  [
    'an add-on from before as a whole',
    { path: ['addOns', 0], from: before[0]!, to: before[1]! },
    undefined,
  ],
])('%s in the history is told in the words of today', (_what, change, after) => {
  expect(addOnStep.change(change)).toEqual(after)
})

test.each(addOnKindIds)(
  '%s comes with settings that it takes, and says what stands on what',
  (kind) => {
    const addOn: AddOn = { id: 'new', kind, name: 'New', settings: initialSettings(kind) }
    expect(addOnSchema.safeParse(addOn).success).toBe(true)
    const { colors, texts } = addOnKindOf(kind)
    expect(addOnColors(addOn).map(([key]) => key)).toEqual(Object.keys(colors))
    for (const { on, initial } of Object.values(colors)) {
      expect(parseColor(initial).ok).toBe(true)
      if (on) expect(colors[on]?.paints).toBe('fill')
    }
    for (const [key, { initial }] of Object.entries(texts))
      expect(addOnText(addOn, key)).toBe(initial)
  },
)

test('a choice that is none of the options counts as none', () => {
  const addOn = { ...addOns[0]!, settings: { ...addOns[0]!.settings, corner: '"><script>' } }
  expect(addOnText(addOn, 'corner')).toBe('right')
})
