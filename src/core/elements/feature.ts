import { traits, type PlainValues, type SettingId, type State, type TraitId } from '../traits'

/** What a trait comes to where nobody decided it for this very thing: a setting of the site, or what is usual for the kind. */
export type Source<T extends TraitId = TraitId> =
  | { readonly setting: SettingId }
  | { readonly usual: T extends keyof PlainValues ? PlainValues[T] : never }

/** A source for each of the kind's base styles, by their ids. */
export interface ByBase<T extends TraitId = TraitId> {
  readonly byBase: Readonly<Record<string, Source<T> | null>>
}

/** One property of an element that is no colour: which trait, of which part, and what decides it in the end. */
export interface Feature {
  /** Among the facets and features of its kind there is no other one with it. */
  readonly key: string
  readonly label: string
  readonly trait: TraitId
  /** Class of the part that has it; the element itself where absent. */
  readonly part?: string
  /** The style that it has in common with other kinds. */
  readonly common?: CommonStyleId
  /** Absent: nobody decides it, and CSS's own initial value stands. */
  readonly from?: Source | ByBase
  /** What holds in a state in place of that. */
  readonly inState?: Readonly<Partial<Record<State, Source>>>
}

/** Styles of parts that several kinds have. */
export type CommonStyleId = 'link'

/** A style that things have without being given it: by their kind, and by what of the content tells them apart. */
export interface BaseStyle {
  readonly id: string
  readonly label: string
  /** What of the kind's elements it is for, as a selector inside `:where()`; all of them where absent. */
  readonly where?: string
  /** The member of the content that tells. */
  readonly by?: string
  readonly is?: (content: Readonly<Record<string, unknown>>) => boolean
}

/** `null`: it can be decided, and nobody has. */
type Sources = { readonly [T in TraitId]?: Source<T> | ByBase<T> | null }

interface PartOf {
  readonly part: string
  /** How the keys of the part begin. */
  readonly as: string
  readonly label: string
  readonly common?: CommonStyleId
}

const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1)

/** Features of an element, or of one of its parts, in the order given. */
export function features(sources: Sources, of?: PartOf): Feature[] {
  return (Object.keys(sources) as TraitId[]).map((trait) => {
    const from = sources[trait] as Source | ByBase | null
    const { label } = traits[trait]
    return {
      key: of ? `${of.as}${capital(trait)}` : trait,
      label: of ? `${of.label}, ${label.toLowerCase()}` : label,
      trait,
      ...(of ? { part: of.part } : {}),
      ...(of?.common ? { common: of.common } : {}),
      ...(from ? { from } : {}),
    }
  })
}

const setting = (id: SettingId): { readonly setting: SettingId } => ({ setting: id })

/** Sources of running text; what is given stands in place of them. */
export const asText = (given: Sources = {}): Sources => ({
  face: { usual: 'body' },
  size: { usual: { step: 0 } },
  weight: setting('bodyWeight'),
  leading: setting('textLeading'),
  spacing: null,
  case: null,
  hyphens: null,
  ...given,
})

/** Sources of words that stand out. */
export const asHeading = (given: Sources = {}): Sources => ({
  ...asText(),
  face: { usual: 'heading' },
  weight: setting('headingWeight'),
  ...given,
})

/** What lies around anything that has a box, where nobody decided it. */
export const asBox = (given: Sources = {}): Sources => ({
  corner: null,
  lineWidth: null,
  lineStyle: null,
  padding: null,
  shadow: null,
  opacity: null,
  duration: null,
  easing: null,
  ...given,
})

/** What changes of looks take, and how, of things that are pointed at. */
export const moving: Sources = { duration: { usual: 120 }, easing: { usual: 'ease' } }

/** A line that is drawn through. */
export const solid: Source<'lineStyle'> = { usual: 'solid' }

/** What lies around the fields of a form, and how what is typed into them looks. */
export const fieldSources: Sources = {
  corner: setting('fieldCorner'),
  lineWidth: setting('fieldLine'),
  lineStyle: solid,
  padding: { usual: { block: 11.2, inline: 13.6 } },
  shadow: null,
  ...asText({ size: { usual: { px: 16 } }, weight: { usual: 400 } }),
}
