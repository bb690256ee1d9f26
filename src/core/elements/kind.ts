import type * as z from 'zod'
import type { PaintedAs, RoleId } from '../roles'
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
  readonly pseudo?: '::placeholder'
  readonly role: RoleId | RoleByContent
  /** The role under the pointer, where it differs. */
  readonly hover?: RoleId
  /** The facet of the same element that it stands on, when that is not the section's ground. */
  readonly on?: string
  /** The CSS property, where it is not the usual one for what is painted. */
  readonly property?: 'outline-color'
  /** Whether an element of some content shows it; every one does where absent. */
  readonly shows?: (content: Readonly<Record<string, unknown>>) => boolean
}

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
