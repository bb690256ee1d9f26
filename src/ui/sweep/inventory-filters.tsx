import { inventoryOrders, waiting, type InventoryEntry, type InventoryOrder } from '@/core/sweep'
import { placeIds, placeNames, type PlaceId } from '@/core/uses'
import { SearchField, SelectField } from '../kit'

/** What of an inventory is shown. */
export const ties = {
  all: 'bound and loose',
  loose: 'loose',
  left: 'left behind',
  bound: 'bound',
} as const
export type Tie = keyof typeof ties

export interface InventoryView {
  readonly search: string
  /** The CIEDE2000 distance within which colours are one to the eye. */
  readonly within: number
  readonly order: InventoryOrder
  readonly place: PlaceId | 'all'
  readonly tie: Tie
}

export const wholeInventory: InventoryView = {
  search: '',
  within: 1,
  order: 'used',
  place: 'all',
  tie: 'all',
}

/** How near colours are one to the eye, in words. */
const GROUPED: ReadonlyArray<readonly [within: string, words: string]> = [
  ['0', 'exact'],
  ['1', 'same to the eye'],
  ['2.3', 'within ΔE 2.3'],
  ['5', 'within ΔE 5'],
  ['10', 'within ΔE 10'],
]

/** How many uses of a colour wait to be bound to the slot that left them behind. */
export const leftIn = (entry: InventoryEntry): number =>
  entry.near ? waiting(entry.near, entry) : 0

export function isShown({ place, tie }: InventoryView, entry: InventoryEntry): boolean {
  if (place !== 'all' && !entry.places.includes(place)) return false
  if (tie === 'bound') return !!entry.slot
  if (tie === 'left') return leftIn(entry) > 0
  return tie === 'all' || !entry.slot
}

const PLACES: ReadonlyArray<readonly [InventoryView['place'], string]> = [
  ['all', 'every place'],
  ...placeIds.map((place) => [place, placeNames[place]] as const),
]
const TIES = Object.entries(ties) as Array<[Tie, string]>
const ORDERS = Object.entries(inventoryOrders) as Array<[InventoryOrder, string]>

interface InventoryFiltersProps {
  readonly view: InventoryView
  readonly onView: (view: InventoryView) => void
}

/** How the inventory is looked for, narrowed, grouped and ordered. */
export function InventoryFilters({ view, onView }: InventoryFiltersProps) {
  return (
    <div className="grid gap-2">
      <SearchField
        label="Find a colour"
        placeholder="Find #1c5a54, teal, rgb() …"
        value={view.search}
        onChange={(search) => onView({ ...view, search })}
        className="w-full"
      />
      <div className="grid grid-cols-2 gap-2">
        <SelectField
          label="Places"
          hideLabel
          value={view.place}
          options={PLACES}
          onChange={(place) => onView({ ...view, place })}
        />
        <SelectField
          label="Bound or loose"
          hideLabel
          value={view.tie}
          options={TIES}
          onChange={(tie) => onView({ ...view, tie })}
        />
        <SelectField
          label="In one group"
          hideLabel
          value={String(view.within)}
          options={GROUPED}
          onChange={(within) => onView({ ...view, within: Number(within) })}
        />
        <SelectField
          label="Order"
          hideLabel
          value={view.order}
          options={ORDERS}
          onChange={(order) => onView({ ...view, order })}
        />
      </div>
    </div>
  )
}
