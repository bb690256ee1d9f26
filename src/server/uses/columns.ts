import type { Columns } from '../database/sets'
import type { BandRow, LookRow, RecordIndex, UseRow } from './rows'

export type Kept<Row> = Row & { readonly record: string; readonly site_id: string }

type Spot = Pick<UseRow, 'n' | 'path' | 'start' | 'context' | 'context_at' | 'label' | 'owner'>
const spot: Columns<Spot> = {
  n: 'int',
  path: 'text',
  start: 'int',
  context: 'text',
  context_at: 'int',
  label: 'text',
  owner: 'text',
}

type Alike = Omit<UseRow, keyof Spot>
const alike: Columns<Alike> = {
  place: 'text',
  object: 'text',
  property: 'text',
  state: 'text',
  paints: 'text',
  bindable: 'boolean',
  css: 'text',
  escape: 'text',
  color: 'text',
  slot: 'text',
  shade: 'text',
  written: 'text',
}
/** What uses are told apart by, wherever in their record they are. */
export const alikeNames = Object.keys(alike)

export const useColumns: Columns<Kept<UseRow>> = {
  record: 'bigint',
  site_id: 'text',
  ...alike,
  ...spot,
}

/** Uses of a record that are alike, once for all of them. */
const groupColumns: Columns<
  Kept<Alike & { readonly g: number; readonly count: number; readonly is_text: boolean }>
> = {
  record: 'bigint',
  site_id: 'text',
  g: 'int',
  count: 'int',
  is_text: 'boolean',
  ...alike,
}

/** Where each of them is, and the group it is of. */
const spotColumns: Columns<Spot & { readonly record: string; readonly g: number }> = {
  record: 'bigint',
  g: 'int',
  ...spot,
}

export const bandColumns: Columns<Kept<BandRow>> = {
  record: 'bigint',
  site_id: 'text',
  n: 'int',
  section: 'text',
  kind: 'text',
  name: 'text',
  theme: 'text',
  fill: 'text',
  hidden: 'boolean',
}

export const lookColumns: Columns<Kept<LookRow>> = {
  record: 'bigint',
  site_id: 'text',
  key: 'text',
  look: 'text',
  count: 'int',
}

/** What is kept beside records, as it is asked for. */
export const indexColumns = { uses: useColumns, bands: bandColumns, looks: lookColumns } as const
export const indexTables = Object.keys(indexColumns) as Array<keyof RecordIndex>

/** The tables that it lies in; what shows `uses` puts two of them together. */
export const tableColumns = {
  use_groups: groupColumns,
  use_spots: spotColumns,
  bands: bandColumns,
  looks: lookColumns,
} as const

/** What tells the rows beside one record apart: their number, or what they say. */
export const rowKeys = { uses: 'n', bands: 'n', looks: 'key' } as const
