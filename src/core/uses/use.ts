import type { Color } from '../color'
import type { PaintedAs, RoleId } from '../roles'
import type {
  ColorDecision,
  DocId,
  ElementId,
  PictureId,
  SectionId,
  SlotId,
  State,
  StyleId,
  ThemeId,
} from '../site'
import type { Escape } from './escape'
import type { PlaceId } from './places/names'

/** What is painted; `shadow` and `other` stand only in text places. */
export type UsePaints = PaintedAs | 'shadow' | 'other'

export type UsePath = ReadonlyArray<string | number>

/** One spot where a colour is decided. */
export interface Use {
  readonly place: PlaceId
  readonly doc: DocId | PictureId
  /** Where it stands in its document. */
  readonly path: UsePath
  /** Offset in the text at `path`, for text places; absent for a decision of its own. */
  readonly start?: number
  /** As it is written there. */
  readonly text: string
  /** As CSS reads it, where that is written in another way: with character references in HTML. */
  readonly css?: string
  /** How its characters are written, where a colour in its place must be written so. */
  readonly escape?: Escape
  /** A little of what surrounds it, for text places; the colour stands at `textAt`. */
  readonly context?: string
  readonly textAt?: number
  readonly decision: ColorDecision
  /** The colour it comes to, where it holds one of its own; what a bound one comes to, the palette tells. */
  readonly color?: Color
  readonly paints: UsePaints
  /** What kind of thing has it: an element's kind, `section`, `theme`, `stylesheet`, `embed`, `add-on`. */
  readonly object: string
  /** What of the thing it colours: a facet, a role, a property of CSS, a setting. */
  readonly property: string
  /** For decisions that hold in one state alone. */
  readonly state?: State
  /** Whether a slot can be referred to here, or only a value can stand. */
  readonly bindable: boolean
  /** Where it is, in words. */
  readonly label: string
  readonly owner: {
    readonly section?: SectionId
    readonly element?: ElementId
    readonly style?: StyleId
    readonly theme?: ThemeId
    readonly role?: RoleId
    readonly picture?: PictureId
    readonly slot?: SlotId
    /** An add-on, by its id. */
    readonly addOn?: string
    readonly line?: number
  }
}

/** The same use has the same key in two runs over the same documents. */
export function useKey({ doc, path, start }: Use): string {
  return `${doc}/${path.join('/')}${start === undefined ? '' : `@${start}`}`
}
