import * as z from 'zod'
import {
  isFeature,
  kindIds,
  kindOf,
  propertiesOf,
  sectionFacets,
  type Facet,
  type Property,
  type StyledKind,
} from '../elements'
import { plainValues, states, underline, type State, type TraitId } from '../traits'
import {
  colorDecision,
  isBound,
  isLoose,
  paint,
  paintKinds,
  type ColorDecision,
  type Paint,
  type PaintKind,
} from './paint'

/** Most shadows of one thing. */
export const mostShadows = 12

const length = (most: number) => z.number().min(-most).max(most)

/** One shadow, as CSS has it: offsets, blur and spread in CSS pixels. */
export const shadowSchema = z.strictObject({
  inner: z.literal(true).optional(),
  x: length(200),
  y: length(200),
  blur: z.number().min(0).max(300),
  spread: length(200),
  color: colorDecision,
})

/** What each trait can hold. */
export const traitValues = {
  ...plainValues,
  shadow: z.strictObject({ shadows: z.array(shadowSchema).max(mostShadows) }),
  underline: underline.extend({ color: colorDecision.optional() }),
} as const satisfies Readonly<Record<TraitId, z.ZodType>>

export type TraitValues = {
  readonly [K in keyof typeof traitValues]: z.infer<(typeof traitValues)[K]>
}
export type TraitValue = TraitValues[TraitId]
export type Shadow = z.infer<typeof shadowSchema>

/** What can be decided for a property: a paint for its facets, for a feature what its trait holds. */
export type LookValue = Paint | TraitValue

/** What something decides of its own, by property and state: an element, an element style, a section. */
export type Looks = Readonly<
  Record<string, Readonly<Partial<Record<State, LookValue>>> | undefined>
>

/** What a property can hold. */
export const valueSchema = (property: Property): z.ZodType<LookValue> =>
  isFeature(property) ? traitValues[property.trait] : paint

/** The kinds of paint that a facet can hold. */
export function paintKindsOf({ paints, takesGradient }: Facet): readonly PaintKind[] {
  if (paints === 'fill') return paintKinds
  return takesGradient ? ['color', 'gradient'] : ['color']
}

/** Names of properties that kinds had once, or will have: kept, and without effect. */
const key = z.string().regex(/^[a-z][A-Za-z]{0,40}$/)
const inStates = z.partialRecord(z.enum(states), z.unknown())

/** The looks of a kind: what is no property of it is kept as a paint, which nothing shows. */
export function looksOf(kind: StyledKind): z.ZodType<Looks> {
  const schemas = new Map(propertiesOf(kind).map((each) => [each.key, valueSchema(each)]))
  return z.record(key, inStates).superRefine((looks, context) => {
    for (const [name, decided] of Object.entries(looks)) {
      const schema = schemas.get(name) ?? paint
      for (const [state, value] of Object.entries(decided)) {
        const error = schema.safeParse(value).error
        for (const issue of error?.issues ?? []) {
          context.addIssue({ ...issue, path: [name, state, ...issue.path] } as never)
        }
      }
    }
  }) as unknown as z.ZodType<Looks>
}

/** Looks over others: property by property and state by state, what lies on top counts. */
export function looksOver(top: Looks | undefined, below: Looks): Looks {
  if (!top) return below
  const keys = new Set([...Object.keys(below), ...Object.keys(top)])
  return Object.fromEntries(
    [...keys].flatMap((key) => {
      const inStates = { ...seenBelow(top, key, below[key]), ...top[key] }
      return Object.keys(inStates).length ? [[key, inStates]] : []
    }),
  )
}

/** The properties that lie within others, by key: a side of a line within the line. */
const within: ReadonlyMap<string, readonly string[]> = new Map(
  [...kindIds.flatMap((kind) => kindOf(kind).facets), ...sectionFacets].flatMap(
    ({ key, within: wider }) => (wider ? [[key, wider] as const] : []),
  ),
)

/** What of a property is seen in a state where something else lies over it: nothing where that decides what it lies within. */
function seenBelow(top: Looks, key: string, inStates: Looks[string]): Looks[string] {
  const wider = within.get(key)
  if (!wider || !inStates) return inStates
  return Object.fromEntries(
    Object.entries(inStates).filter(([state]) =>
      wider.every((each) => top[each]?.[state as State] === undefined),
    ),
  )
}

/** What is decided for a facet. */
export const paintIn = (
  looks: Looks | undefined,
  { key: facet }: Pick<Facet, 'key'>,
  state: State,
) => looks?.[facet]?.[state] as Paint | undefined

const isDecision = (value: object): value is ColorDecision =>
  isBound(value as Paint) || (isLoose(value as Paint) && Object.keys(value).length === 1)

/** A colour decision inside a value, and where in it. */
export interface DecisionInside {
  readonly path: ReadonlyArray<string | number>
  readonly decision: ColorDecision
}

/** The colour decisions inside of what was decided for a property, with the way to each. */
export function decisionsInside(
  value: unknown,
  path: ReadonlyArray<string | number> = [],
): DecisionInside[] {
  if (typeof value !== 'object' || value === null) return []
  if (isDecision(value)) return [{ path, decision: value }]
  if (Array.isArray(value)) {
    return value.flatMap((each, i) => decisionsInside(each, [...path, i]))
  }
  return Object.entries(value).flatMap(([name, each]) => decisionsInside(each, [...path, name]))
}

/** The colour decisions inside of what was decided for a property. */
export const decisionsIn = (value: LookValue): ColorDecision[] =>
  decisionsInside(value).map(({ decision }) => decision)

/** Whether members of a record are one decision, which is taken or left as a whole: all that stands for a property in a state. */
export function isOneValue(members: object, path: ReadonlyArray<string | number>): boolean {
  if (path.at(-3) === 'looks') return true
  if ('slot' in members || 'gradient' in members || 'under' in members) return true
  return 'value' in members && Object.keys(members).length === 1
}
