import type { ShelfEntry } from '@/core/payloads'
import { shelved } from './order'

const site = (
  name: string,
  changedAt: string,
  place: ShelfEntry['place'] = 'shelf',
): ShelfEntry => ({ id: name, name, changedAt, place, site: 'unreadable' })
const sites = [
  site('Wren Cycles', '2026-03-01T00:00:00Z'),
  site('Café Ostrich 10', '2026-05-01T00:00:00Z'),
  site('café ostrich 9', '2026-04-01T00:00:00Z'),
  site('Old Mill', '2026-06-01T00:00:00Z', 'away'),
]
const names = (some: readonly ShelfEntry[]) => some.map(({ name }) => name)

test('last changed first, or by name as people count', () => {
  expect(names(shelved(sites, 'shelf'))).toEqual([
    'Café Ostrich 10',
    'café ostrich 9',
    'Wren Cycles',
  ])
  expect(names(shelved(sites, 'shelf', '', 'name'))).toEqual([
    'café ostrich 9',
    'Café Ostrich 10',
    'Wren Cycles',
  ])
})

test('all words of a search, in any case and order; what is put away stands apart', () => {
  expect(names(shelved(sites, 'shelf', 'OSTRICH café'))).toHaveLength(2)
  expect(names(shelved(sites, 'shelf', 'mill'))).toEqual([])
  expect(names(shelved(sites, 'away', 'mill'))).toEqual(['Old Mill'])
})
