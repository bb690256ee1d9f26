import { ternFrame } from '@demo/tern/frame'
import { siteDocs, type SiteDocs } from '../site'
import { applyEdit } from './apply'
import { isClash, putsOf } from './clash'
import type { Edit } from './edits'

const start: SiteDocs = siteDocs(ternFrame)
const made = (docs: SiteDocs, edit: unknown) => {
  const result = applyEdit(docs, edit as Edit)
  if (!result.ok) throw new Error(result.problem)
  return result
}
const role = (name: string, slot: string, theme = 'on-paper') => ({
  type: 'setRole',
  themes: [theme],
  role: name,
  decision: { slot },
})
/** Whether mine, made on the start, clashes where theirs came first. */
const clashes = (mine: unknown, theirs: unknown) =>
  isClash(start, made(start, theirs).docs, putsOf(made(start, mine).changes))

test('the same cell, decided differently, is a clash', () => {
  expect(clashes(role('link', 'ink'), role('link', 'spark'))).toBe(true)
})

test('the same cell decided alike, another cell of the same theme, another theme: none', () => {
  expect(clashes(role('link', 'ink'), role('link', 'ink'))).toBe(false)
  expect(clashes(role('link', 'ink'), role('text', 'spark'))).toBe(false)
  expect(clashes(role('link', 'ink'), role('link', 'spark', 'on-mist'))).toBe(false)
})

test('the same slot, set to different values; its name beside its value goes together', () => {
  const value = (text: string) => ({ type: 'setSlot', slot: 'brand', value: text })
  expect(clashes(value('#123456'), value('#654321'))).toBe(true)
  expect(clashes(value('#123456'), { type: 'renameSlot', slot: 'brand', name: 'Sea' })).toBe(false)
})

test('a place that is gone is no clash of its own: the edit itself no longer fits', () => {
  const { spark: _gone, ...slots } = ternFrame.palette.slots as Record<string, unknown>
  const without = { ...ternFrame, palette: { ...ternFrame.palette, slots } } as typeof ternFrame
  const mine = made(start, { type: 'setSlot', slot: 'spark', value: '#111111' })
  expect(isClash(start, siteDocs(without), putsOf(mine.changes))).toBe(true)
  expect(isClash(start, start, putsOf(mine.changes))).toBe(false)
})
