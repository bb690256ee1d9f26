import type { ShelfEntry } from '@/core/payloads'

/** In which order the shelf stands. */
export const orders = {
  changed: 'Last changed first',
  name: 'By name',
} as const
export type Order = keyof typeof orders

const byName = new Intl.Collator('en', { numeric: true, sensitivity: 'base' })

const folded = (text: string) => text.normalize('NFKD').toLowerCase()

/** The sites of one place whose names hold all the words, in an order. */
export function shelved(
  sites: readonly ShelfEntry[],
  place: ShelfEntry['place'],
  search = '',
  order: Order = 'changed',
): ShelfEntry[] {
  const words = folded(search).split(/\s+/).filter(Boolean)
  const found = sites.filter(
    (site) => site.place === place && words.every((word) => folded(site.name).includes(word)),
  )
  return order === 'name'
    ? found.sort((a, b) => byName.compare(a.name, b.name))
    : found.sort((a, b) => (a.changedAt < b.changedAt ? 1 : a.changedAt > b.changedAt ? -1 : 0))
}
