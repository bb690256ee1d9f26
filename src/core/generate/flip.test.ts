import { ternFrame } from '@demo/tern/frame'
import type { ThemeId } from '../site'
import { flippedTheme } from './flip'

const flipped = (id: string) => flippedTheme(ternFrame, id as ThemeId)?.id

test('a pale section turns dark and a dark or vivid one pale, in the hue nearest to its own', () => {
  expect(flipped('on-paper')).toBe('on-ink')
  expect(flipped('on-mist')).toBe('on-ink')
  expect(flipped('on-ink')).toBe('on-mist')
  expect(flipped('on-spark')).toBe('on-paper')
})

test('where no theme is of the other kind, and for a theme that is not there, there is none', () => {
  const { byId, order } = ternFrame.themes
  const pale = order.filter((id) => id === 'on-paper' || id === 'on-mist')
  const frame = { ...ternFrame, themes: { byId, order: pale } }
  expect(flippedTheme(frame, 'on-paper' as ThemeId)).toBeUndefined()
  expect(flipped('nowhere')).toBeUndefined()
})
