import {
  inventoryOrders,
  waiting,
  type InventoryEntry,
  type InventoryOrder,
  type UseFilter,
} from '@/core/sweep'
import { states, type State } from '@/core/traits'
import { placeIds, placeNames, type PlaceId } from '@/core/uses'
import { Fold, Folds, SearchField, SelectField } from '../kit'
import { facetWords, objectOptions, paintsOptions } from './facet-words'

/** What of an inventory is shown. */
export const ties = {
  all: 'bound or loose',
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
  /** Only the page that is open, or every one. */
  readonly page: 'all' | 'this'
  readonly object: string
  readonly paints: string
  readonly state: State | 'all'
}

export const wholeInventory: InventoryView = {
  search: '',
  within: 1,
  order: 'palette',
  place: 'all',
  tie: 'all',
  page: 'all',
  object: 'all',
  paints: 'all',
  state: 'all',
}

/** What the server is to count of the uses. */
export function filterOf(
  { place, page, object, paints, state }: InventoryView,
  pageId: string,
): UseFilter {
  return {
    ...(place === 'all' ? {} : { place }),
    ...(page === 'all' ? {} : { doc: pageId }),
    ...(object === 'all' ? {} : { object }),
    ...(paints === 'all' ? {} : { paints }),
    ...(state === 'all' ? {} : { state }),
  }
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

export function isShown({ tie }: InventoryView, entry: InventoryEntry): boolean {
  if (tie === 'bound') return !!entry.slot
  if (tie === 'left') return leftIn(entry) > 0
  return tie === 'all' || !entry.slot
}

const PLACES: ReadonlyArray<readonly [InventoryView['place'], string]> = [
  ['all', 'every place'],
  ...placeIds
    .filter((place) => place !== 'palette')
    .map((place) => [place, placeNames[place]] as const),
]
const PAGES = [
  ['all', 'every page'],
  ['this', 'this page'],
] as const
const OBJECTS = [['all', 'every kind'], ...objectOptions] as const
const PAINTS = [['all', 'all they paint'], ...paintsOptions] as const
const STATES: ReadonlyArray<readonly [InventoryView['state'], string]> = [
  ['all', 'every state'],
  ...states.map((state) => [state, facetWords.state(state)] as const),
]
const TIES = Object.entries(ties) as Array<[Tie, string]>
const ORDERS = Object.entries(inventoryOrders) as Array<[InventoryOrder, string]>

/** What the inventory is narrowed to beside its places, so that it is seen while that is folded away. */
function narrowedWords({ page, object, paints, state }: InventoryView): string {
  const words = [
    page === 'all' ? '' : 'this page',
    object === 'all' ? '' : facetWords.object(object),
    paints === 'all' ? '' : facetWords.paints(paints),
    state === 'all' ? '' : facetWords.state(state),
  ].filter(Boolean)
  return words.length ? `Narrowed: ${words.join(', ')}` : 'Narrow it further'
}

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
      <Narrower view={view} onView={onView} />
    </div>
  )
}

function Narrower({ view, onView }: InventoryFiltersProps) {
  return (
    <Folds>
      <Fold value="narrow" title={narrowedWords(view)}>
        <div className="grid grid-cols-2 gap-2 pb-1">
          <SelectField
            label="Pages"
            hideLabel
            value={view.page}
            options={PAGES}
            onChange={(page) => onView({ ...view, page })}
          />
          <SelectField
            label="Kinds of thing"
            hideLabel
            value={view.object}
            options={OBJECTS}
            onChange={(object) => onView({ ...view, object })}
          />
          <SelectField
            label="What they paint"
            hideLabel
            value={view.paints}
            options={PAINTS}
            onChange={(paints) => onView({ ...view, paints })}
          />
          <SelectField
            label="States"
            hideLabel
            value={view.state}
            options={STATES}
            onChange={(state) => onView({ ...view, state })}
          />
        </div>
      </Fold>
    </Folds>
  )
}
