import type * as z from 'zod'
import type { PaintedAs, RoleId } from '../roles'
import { sides } from '../traits'
import type { BaseStyle, CommonStyleId, Feature } from './feature'
import type { Field } from './field'
import type { ShownPicture } from './shown-picture'

/** A role that depends on a word in the element's content, such as the tone of a mark. */
export interface RoleByContent {
  readonly by: string
  readonly of: Readonly<Record<string, RoleId>>
}

/**
 * One colour of an element: which part it paints, with which CSS property, and
 * which role of the theme decides it when nothing nearer does.
 */
export interface Facet {
  readonly key: string
  readonly label: string
  readonly paints: PaintedAs
  /** Class of the part that is painted; the element itself where absent. */
  readonly part?: string
  /** The style that it has in common with other kinds. */
  readonly common?: CommonStyleId
  readonly pseudo?: '::placeholder'
  readonly role: RoleId | RoleByContent
  /** The role under the pointer, where it differs. */
  readonly hover?: RoleId
  /** The facet of the same element that it stands on, when that is not the section's ground. */
  readonly on?: string
  /** The CSS property, where it is not the usual one for what is painted. */
  readonly property?: 'outline-color' | `border-${'top' | 'right' | 'bottom' | 'left'}-color`
  /** The facets that it is a part of, the narrowest first: they decide where it is not decided itself, nearer places before farther ones. */
  readonly within?: readonly string[]
  /** In which windows it is painted so; in all of them where absent. */
  readonly below?: WindowWidth
  /** Words that a gradient can fill: they stand in a box of their own, on no ground of it. */
  readonly takesGradient?: true
  /** Whether an element of some content shows it; every one does where absent. */
  readonly shows?: (content: Readonly<Record<string, unknown>>) => boolean
}

/** The border of a box, and each of its sides, which can have a colour of its own. */
export function borderFacets(role: RoleId): Facet[] {
  const line = { key: 'line', label: 'Border', paints: 'line', role } as const
  const ofSide = sides.map((side): Facet => ({
    ...line,
    key: `line${capital(side)}`,
    label: `Border, ${side}`,
    property: `border-${side}-color`,
    within: ['line'],
  }))
  return [line, ...ofSide]
}

const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1)

/** Windows up to this width, by name, in CSS pixels: what the editor shows as tablet and phone lies in them. */
export const windowWidths = { tablet: 1000, phone: 640 } as const
export type WindowWidth = keyof typeof windowWidths

/** What an element needs to know to write itself as HTML. */
export interface Surroundings {
  /** Attributes of the outermost tag: class, data-el, element style. */
  readonly root: Record<string, string>
  readonly children: string
  readonly asset: (id: string) => ShownPicture | undefined
  /** The width that the section has for what stands in it, in CSS pixels on a wide screen. */
  readonly room: number
  /** Whether it stands on the first screen of the page. */
  readonly isFirst: boolean
  /** The section that it is in, and how many elements of its kind come before it there. */
  readonly within: {
    readonly kind: 'header' | 'band' | 'footer'
    readonly name: string
    readonly before: () => number
  }
  readonly link: (href: string) => string
  readonly isCurrent: (href: string) => boolean
  /** Whether it is written for those who edit it: all of it can be seen then. */
  readonly isEdited: boolean
  /**
   * Attributes of the tag that holds words of the content, which lie at a path in it: the editor
   * finds by them what is written where; a published page has none.
   */
  readonly words: (...at: ReadonlyArray<string | number>) => Record<string, string>
}

/** An element as the specimen of a theme shows it, in the words of a made-up shop. */
export interface Sample<Content = unknown> {
  readonly content: Content
  /** What stands in it: samples of other kinds, by the name of the kind. */
  readonly holds?: ReadonlyArray<Sample & { readonly kind: string }>
  /** Samples that follow each other and name the same row stand beside each other. */
  readonly row?: string
}

export interface ElementKind<Content = unknown> {
  readonly kind: string
  readonly label: string
  readonly content: z.ZodType<Content>
  /** Whether other elements can stand inside it. */
  readonly holds?: boolean
  readonly facets: readonly Facet[]
  /** How it looks beside its colours; nothing for kinds that only hold others. */
  readonly features?: readonly Feature[]
  /** The styles that its elements have without being given one; one for all where absent. */
  readonly bases?: readonly BaseStyle[]
  /** What of the content is set beside the page. */
  readonly fields?: readonly Field[]
  /** What an element of this kind holds when it is added; absent for those that come in another way. */
  readonly fresh?: NoInfer<Content>
  /** What shows its colours, given the name of the theme; nothing for kinds that have none. */
  readonly samples: (theme: string) => ReadonlyArray<Sample<NoInfer<Content>>>
  /** Shape only: no rule here names a colour. */
  readonly css: string
  readonly html: (content: Content, surroundings: Surroundings) => string
  /** A few words to tell this element from its neighbours. */
  readonly title: (content: Content) => string
}

/** Keeps the content type of a kind while its definition is written. */
export function defineKind<Content>(kind: ElementKind<Content>): ElementKind<Content> {
  return kind
}

/** `mainButton` as a class: `main-button`. */
export function kindClass(kind: string): string {
  return kind.replace(/[A-Z]/g, (letter) => `-${letter.toLowerCase()}`)
}

const CSS_PROPERTY = { fill: 'background', text: 'color', line: 'border-color' } as const

export function cssProperty(facet: Facet): string {
  return facet.property ?? CSS_PROPERTY[facet.paints]
}
