import type { Escape } from './escape'
import type { UsePaints } from './use'

/** A colour, or a reference to a slot, found in CSS text. Offsets count UTF-16 units. */
export interface FoundInCss {
  readonly start: number
  /** As it is written. */
  readonly text: string
  /** As CSS reads it, where it is written in another way: with character references in HTML. */
  readonly css?: string
  /** How its characters are written in the source, where a colour in its place must be written so. */
  readonly escape?: Escape
  readonly slot?: string
  readonly property: string
  readonly paints: UsePaints
  /** Whether a reference to a slot may stand here: browsers take the declaration, and it takes `var()`. */
  readonly bindable: boolean
}
