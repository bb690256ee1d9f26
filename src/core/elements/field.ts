/** Links to choose, order and name: what every navigation has. */
export const linkEntries = (most: number) =>
  ({
    at: 'items',
    as: 'list',
    label: 'Links',
    entry: 'link',
    fields: [
      { at: 'label', as: 'line', label: 'Words', longest: 80 },
      { at: 'href', as: 'link', label: 'Leads to' },
    ],
    fresh: { label: 'New link', href: '#' },
    least: 1,
    most,
  }) as const satisfies Field

interface Named {
  /** The member of the content. */
  readonly at: string
  readonly label: string
}

/**
 * Something of an element's content that is set beside the page rather than written
 * on it. Whatever is written on the page stands in tags that tell where it lies.
 */
export type Field =
  /** A line of text; an empty one takes the member away where that may be. */
  | (Named & { readonly as: 'line'; readonly longest: number; readonly mayGo?: boolean })
  /** Where something leads. */
  | (Named & { readonly as: 'link'; readonly mayGo?: boolean })
  /** One of a few; `absent` is the one that a content without the member means. */
  | (Named & {
      readonly as: 'choice'
      readonly options: ReadonlyArray<readonly [value: string | number, label: string]>
      readonly absent?: string | number
    })
  /** There and true, or absent. */
  | (Named & { readonly as: 'tick' })
  | (Named & { readonly as: 'icon' })
  | (Named & { readonly as: 'picture'; readonly mayGo?: boolean })
  | (Named & {
      readonly as: 'list'
      /** What one entry is called. */
      readonly entry: string
      readonly fields: readonly Field[]
      readonly fresh: Readonly<Record<string, unknown>>
      /** Least and most entries. */
      readonly least: number
      readonly most: number
    })
  /** Rows of cells, with a head. */
  | (Named & {
      readonly as: 'table'
      readonly head: string
      readonly mostRows: number
      readonly mostColumns: number
    })
