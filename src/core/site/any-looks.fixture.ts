import fc from 'fast-check'
import { mixSpaces } from '../color'
import {
  baseStyles,
  isFeature,
  kindIds,
  propertiesOf,
  type Facet,
  type Property,
  type StyledKind,
} from '../elements'
import {
  buttonForms,
  buttonIcons,
  easings,
  faces,
  hyphenations,
  letterCases,
  lineStyles,
  settingsSchema,
  states,
  underlines,
  type Settings,
  type TraitId,
} from '../traits'
import { siteDocs, type SiteDocs } from './docs'
import { frameSchema } from './frame'
import { pageSchema, type Page } from './page'
import { paintKindsOf, type LookValue, type Looks, type TraitValues } from './looks'
import { gradientKinds, type Paint } from './paint'

const whole = (min: number, max: number) => fc.integer({ min, max })
const hundredths = (min: number, max: number) =>
  whole(min * 100, max * 100).map((value) => value / 100)
const onSides = <T>(each: fc.Arbitrary<T>) =>
  fc.oneof(each, fc.record({ top: each, right: each, bottom: each, left: each }))

const color = (slots: readonly string[]) =>
  fc.oneof(
    fc.record({ slot: fc.constantFrom(...slots) }),
    fc.record({
      slot: fc.constantFrom(...slots),
      shade: fc.record({ lightness: whole(-20, 20).filter((by) => by !== 0) }),
    }),
    fc.record({ value: fc.constantFrom('#1c5a54', 'teal', 'rgb(1 2 3 / 40%)', 'hsl(20 50% 50%)') }),
  ) as fc.Arbitrary<never>

const gradient = (slots: readonly string[]) =>
  fc.record(
    {
      gradient: fc.constantFrom(...gradientKinds),
      angle: whole(0, 360),
      stops: fc
        .array(fc.record({ at: whole(0, 100), color: color(slots) }), {
          minLength: 2,
          maxLength: 4,
        })
        .map((stops) => stops.sort((a, b) => a.at - b.at)),
      space: fc.constantFrom(...mixSpaces),
    },
    { requiredKeys: ['gradient', 'angle', 'stops'] },
  ) as fc.Arbitrary<Paint>

const anyPaint = (facet: Facet, slots: readonly string[]): fc.Arbitrary<Paint> =>
  paintKindsOf(facet).includes('gradient')
    ? fc.oneof({ weight: 3, arbitrary: color(slots) }, { weight: 1, arbitrary: gradient(slots) })
    : color(slots)

const traitArbitraries = (
  slots: readonly string[],
): { readonly [T in TraitId]: fc.Arbitrary<TraitValues[T]> } => ({
  corner: hundredths(0, 60),
  lineWidth: onSides(hundredths(0, 9)),
  lineStyle: onSides(fc.constantFrom(...lineStyles)),
  padding: fc.record({ block: whole(0, 40), inline: whole(0, 40) }),
  space: whole(0, 160),
  width: whole(200, 1600),
  shadow: fc.record({
    shadows: fc.array(
      fc.record(
        {
          inner: fc.constant(true as const),
          x: whole(-20, 20),
          y: whole(-20, 20),
          blur: whole(0, 40),
          spread: whole(-10, 10),
          color: color(slots),
        },
        { requiredKeys: ['x', 'y', 'blur', 'spread', 'color'] },
      ),
      { maxLength: 3 },
    ),
  }),
  opacity: hundredths(0, 1),
  face: fc.constantFrom(...faces),
  size: fc.oneof(
    fc.record({ step: whole(-3, 8) }),
    fc.record({ px: whole(8, 90) }),
    fc.record({ px: whole(8, 90), narrow: whole(8, 90) }),
  ),
  weight: whole(100, 900),
  leading: hundredths(0.8, 2.4),
  spacing: hundredths(-0.1, 0.4),
  case: fc.constantFrom(...letterCases),
  hyphens: fc.constantFrom(...hyphenations),
  measure: fc.oneof(whole(20, 90), fc.constant('none' as const)),
  underline: fc.record(
    {
      line: fc.constantFrom(...underlines),
      thickness: whole(1, 6),
      offset: hundredths(0, 0.5),
      color: color(slots),
    },
    { requiredKeys: ['line'] },
  ),
  duration: whole(0, 900),
  easing: fc.constantFrom(...easings),
})

/** Anything that can be decided for a property. */
export function anyValue(property: Property, slots: readonly string[]): fc.Arbitrary<LookValue> {
  return isFeature(property)
    ? (traitArbitraries(slots)[property.trait] as fc.Arbitrary<LookValue>)
    : anyPaint(property, slots)
}

/** Looks that hold some of the properties, each in some states. */
export function anyLooks(
  properties: readonly Property[],
  slots: readonly string[],
): fc.Arbitrary<Looks> {
  const one = (property: Property) =>
    fc.dictionary(fc.constantFrom(...states), anyValue(property, slots), { minKeys: 1, maxKeys: 3 })
  const maxLength = Math.min(4, properties.length)
  return fc
    .subarray([...properties], { maxLength })
    .chain((some) =>
      fc
        .tuple(...some.map(one))
        .map((each) => Object.fromEntries(some.map(({ key }, i) => [key, each[i]!]))),
    ) as fc.Arbitrary<Looks>
}

const numbersOf: Partial<Record<keyof Settings, fc.Arbitrary<number>>> = {
  textSize: whole(12, 24),
  scale: hundredths(1, 2),
  narrowScale: hundredths(1, 2),
  textLeading: hundredths(1, 2.4),
  contentWidth: whole(600, 1800),
  sectionSpace: whole(0, 240),
  density: hundredths(0.5, 1.5),
  buttonCorner: whole(0, 40),
  buttonLine: whole(0, 8),
  cardCorner: whole(0, 60),
  cardLine: whole(0, 8),
  pictureCorner: whole(0, 60),
  fieldCorner: whole(0, 30),
  fieldLine: whole(0, 8),
}

const choicesOf = {
  buttonForm: fc.constantFrom(...buttonForms),
  buttonIcon: fc.constantFrom(...buttonIcons),
}

const anySettings = (settings: Settings): fc.Arbitrary<Settings> =>
  fc
    .record({ ...numbersOf, ...choicesOf } as Record<string, fc.Arbitrary<unknown>>, {
      requiredKeys: [],
    })
    .map((some) => settingsSchema.parse({ ...settings, ...some }))

interface AnyStyle {
  readonly id: string
  readonly name: string
  readonly kind: StyledKind
  readonly parent?: string
  readonly looks: Looks
}

const anyBaseStyles = (slots: readonly string[]): fc.Arbitrary<AnyStyle[]> =>
  fc
    .subarray([...baseStyles], { maxLength: 6 })
    .chain((some) =>
      fc
        .tuple(...some.map(({ kind }) => anyLooks(propertiesOf(kind), slots)))
        .map((looks) =>
          some.map(({ id, label, kind }, i) => ({ id, name: label, kind, looks: looks[i]! })),
        ),
    )

/** Element styles of some kinds; every other one inherits from one of its kind that came before. */
function anyStyles(slots: readonly string[]): fc.Arbitrary<AnyStyle[]> {
  const one = fc.constantFrom(...kindIds).chain((kind) =>
    fc.record({
      kind: fc.constant(kind),
      parent: fc.nat(),
      looks: anyLooks(propertiesOf(kind), slots),
    }),
  )
  return fc.array(one, { maxLength: 8 }).map((all) =>
    all.map(({ kind, parent, looks }, i) => {
      const above = all.slice(0, i).flatMap((each, n) => (each.kind === kind ? [n] : []))
      const heir =
        above.length && parent % 2 ? { parent: `style-${above[parent % above.length]}` } : {}
      return { id: `style-${i}`, name: `Style ${i}`, kind, ...heir, looks }
    }),
  )
}

/** How things of a body are dressed: every other one with looks of its own, every third with a style. */
function dressed(
  { body, ...page }: Page,
  styles: readonly AnyStyle[],
  slots: readonly string[],
  seed: number,
) {
  const looksFor = (kind: StyledKind, i: number) => {
    const [looks] = fc.sample(anyLooks(propertiesOf(kind), slots), { numRuns: 1, seed: seed + i })
    return looks && Object.keys(looks).length ? { looks } : {}
  }
  const elements = Object.values(body.elements).map((element, i) => {
    const fitting = styles.filter(({ kind }) => kind === element.kind)
    const style = fitting[(seed + i) % fitting.length]
    return {
      ...element,
      ...((seed + i) % 2 ? looksFor(element.kind, i) : {}),
      ...(style && (seed + i) % 3 === 0 ? { style: style.id } : {}),
    }
  })
  const sections = Object.values(body.sections).map((section, i) => ({
    ...section,
    ...looksFor('section', 1000 + i),
  }))
  const byId = <T extends { readonly id: string }>(all: readonly T[]) =>
    Object.fromEntries(all.map((each) => [each.id, each]))
  return { ...page, body: { ...body, elements: byId(elements), sections: byId(sections) } }
}

/**
 * A site that looks like no other: the one given, with settings, base styles, element styles that
 * inherit from each other, and looks of single sections and elements of any kind.
 */
export function anyLooking(docs: SiteDocs): fc.Arbitrary<SiteDocs> {
  const { frame } = docs
  const slots = frame.palette.order as readonly string[]
  return fc
    .record({
      settings: anySettings(frame.settings),
      bases: anyBaseStyles(slots),
      styles: anyStyles(slots),
      seed: fc.nat({ max: 1_000_000 }),
    })
    .map(({ settings, bases, styles, seed }) => {
      const byId = Object.fromEntries([...bases, ...styles].map((style) => [style.id, style]))
      const pages = Object.values(docs.pages).map((page) => dressed(page, styles, slots, seed))
      return siteDocs(
        frameSchema.parse({ ...frame, customCss: '', settings, styles: byId }),
        pages.map((page) => pageSchema.parse(page)),
        Object.values(docs.pictures),
      )
    })
}
