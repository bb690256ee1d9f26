import { colorOf } from '../color'
import { assignNamed, type NamedSlot } from './assign-named'

const slot = (id: string, name: string, value: string): NamedSlot => ({
  id,
  name,
  color: colorOf(value)!,
  isEmpty: false,
})
const palette = [
  slot('paper', 'Paper', '#f7f2e7'),
  slot('brand', 'Brand', '#1d5955'),
  slot('spark', 'Hot coral', '#d65a2a'),
  slot('ink', 'Ink', '#17211f'),
]
const told = (colors: ReadonlyArray<{ value: string; name?: string }>) =>
  assignNamed(palette, colors).map((index) => colors[index]?.value)

test('a colour that is called as a slot goes there, however ill it suits', () => {
  const colors = [
    { value: '#17211f', name: 'Paper' },
    { value: '#f7f2e7', name: 'INK' },
    { value: '#d65a2a', name: 'brand' },
    { value: '#1d5955', name: 'hot-coral' },
  ]
  expect(told(colors)).toEqual(['#17211f', '#d65a2a', '#1d5955', '#f7f2e7'])
})

test('the id of a slot that was renamed names it still, after names', () => {
  expect(told([{ value: '#123456', name: 'Spark' }])[2]).toBe('#123456')
})

test('what a slot holds stays there; the rest goes by purpose', () => {
  const given = told([{ value: '#fdfaf2' }, { value: '#1d5955' }, { value: '#101010' }])
  expect(given[1]).toBe('#1d5955')
  expect(given[0]).toBe('#fdfaf2')
  expect(given[3]).toBe('#101010')
})

test('each colour goes to one slot', () => {
  const given = assignNamed(palette, [{ value: '#1d5955', name: 'Brand' }])
  expect(given.filter((index) => index === 0)).toHaveLength(1)
})
