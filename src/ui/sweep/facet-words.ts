import { labelOf, styledKinds, type StyledKind } from '@/core/elements'
import { stateWords, type State } from '@/core/traits'
import { placeNames, type PlaceId } from '@/core/uses'

/** Things that have colours and are no elements. */
const OBJECTS: Readonly<Record<string, string>> = {
  section: 'Section',
  theme: 'Theme',
  stylesheet: 'Stylesheet',
  embed: 'Snippet',
  'add-on': 'Add-on',
  picture: 'Picture',
  slot: 'Slot',
  page: 'Page',
  site: 'Site',
  settings: 'Setting',
}

/** Of those, the ones that no use in the inventory is of. */
const COLORLESS: ReadonlySet<string> = new Set(['slot', 'page', 'site', 'settings'])

const PAINTS: Readonly<Record<string, string>> = {
  fill: 'fill',
  text: 'text',
  line: 'border',
  shadow: 'shadow',
  other: 'something else',
}

/** What texts are for, where no colour is swept. */
const SORTS: Readonly<Record<string, string>> = {
  words: 'words',
  link: 'link',
  address: 'address in CSS',
  font: 'typeface',
  picture: 'picture',
}

const isStyled = (object: string): object is StyledKind =>
  (styledKinds as readonly string[]).includes(object)

/** What members of a filter are called, one by one. */
export const facetWords = {
  place: (place: string) => placeNames[place as PlaceId],
  object: (object: string) => OBJECTS[object] ?? (isStyled(object) ? labelOf(object) : object),
  paints: (paints: string) => PAINTS[paints] ?? SORTS[paints] ?? paints,
  state: (state: string) => stateWords[state as State] || 'at rest',
} as const

const byWords = ([, a]: readonly [string, string], [, b]: readonly [string, string]) =>
  a < b ? -1 : 1

/** Every kind of thing that has colours, by name. */
export const objectOptions: ReadonlyArray<readonly [value: string, words: string]> = [
  ...Object.entries(OBJECTS).filter(([object]) => !isStyled(object) && !COLORLESS.has(object)),
  ...styledKinds.map((kind) => [kind, labelOf(kind)] as const),
].sort(byWords)

export const paintsOptions = Object.entries(PAINTS)
