import * as z from 'zod'
import { baseStyle, labelOf, propertiesOf, isFeature, type Property } from '../elements'
import {
  decisionsIn,
  docId,
  elementId,
  bodyOf,
  canonicalJson,
  isBound,
  paintKind,
  paintKindsOf,
  mostShadows,
  own,
  sectionId,
  styleId,
  valueSchema,
  type ColorDecision,
  type DocId,
  type Looks,
  type LookValue,
  type Paint,
  type SiteDocs,
} from '../site'
import { states } from '../traits'
import { defineEdit, draftBody, pagesIn, type DraftDocs, type EditProblem } from './edit'
import { propertyWords, valueWords } from './value-words'

/** What can decide how things look: one element, one section, or a style with all that has it. */
export const lookHolderSchema = z.union([
  z.strictObject({ doc: docId, element: elementId }),
  z.strictObject({ doc: docId, section: sectionId }),
  z.strictObject({ style: styleId }),
])
export type LookTarget = z.infer<typeof lookHolderSchema>

/** Most settings of one edit. */
export const mostSettings = 4000

/** One property in one state; `value` null takes the setting away. What the value may be follows from the property. */
const settingSchema = z.strictObject({
  on: lookHolderSchema,
  key: z.string().max(48),
  state: z.enum(states),
  value: z.custom<LookValue | null>((value) => value !== undefined, 'no value'),
})
export type LookSetting = z.infer<typeof settingSchema>

const setLooksCommand = z.strictObject({
  type: z.literal('setLooks'),
  settings: z.array(settingSchema).min(1).max(mostSettings),
})

/** Something whose looks are written. */
interface Wearer {
  looks?: Looks | undefined
}

interface Found {
  readonly thing: Wearer
  readonly properties: readonly Property[]
}

/** The base style of an id as it is kept: begun where nothing was decided for it yet. */
function styleDraft(draft: DraftDocs, id: string): Wearer | undefined {
  const { styles } = draft.frame
  const known = own(styles, id)
  if (known) return known as Wearer
  const base = baseStyle(id)
  if (!base) return undefined
  const made = { id, name: base.label, kind: base.kind, looks: {} }
  styles[id as keyof typeof styles] = made as never
  return own(styles, id) as Wearer
}

function find(draft: DraftDocs, on: LookTarget): Found | EditProblem {
  if ('style' in on) {
    const style = styleDraft(draft, on.style)
    if (!style) return 'style-gone'
    const { kind } = own(draft.frame.styles, on.style)!
    // The ground of sections is their theme's, whatever else they have in common.
    const all = propertiesOf(kind)
    const properties = kind === 'section' ? all.filter(isFeature) : all
    return { thing: style, properties }
  }
  const body = draftBody(draft, on.doc)
  if (!body) return 'page-gone'
  if ('element' in on) {
    const element = own(body.elements, on.element)
    if (!element) return 'element-gone'
    return { thing: element, properties: propertiesOf(element.kind) }
  }
  const section = own(body.sections, on.section)
  if (!section) return 'section-gone'
  return { thing: section, properties: propertiesOf('section') }
}

/** Whether the stops of a gradient go from its beginning to its end; several may stand at one place. */
const hasStopsInOrder = (paint: Paint): boolean =>
  !('gradient' in paint) || paint.stops.every(({ at }, i, all) => i === 0 || all[i - 1]!.at <= at)

function unfit(property: Property, value: unknown): EditProblem {
  const list = (value as { shadows?: unknown } | null)?.shadows
  const isFull = isFeature(property) && Array.isArray(list) && list.length > mostShadows
  return isFull ? 'shadows-full' : 'value-unfit'
}

function problemOf(
  draft: DraftDocs,
  property: Property,
  value: LookValue,
): EditProblem | undefined {
  if (!valueSchema(property).safeParse(value).success) return unfit(property, value)
  if (!isFeature(property) && !paintKindsOf(property).includes(paintKind(value as Paint))) {
    return 'value-unfit'
  }
  if (!isFeature(property) && !hasStopsInOrder(value as Paint)) return 'stops-disordered'
  const isMissing = (each: ColorDecision) =>
    isBound(each) && !own(draft.frame.palette.slots, each.slot)
  return decisionsIn(value).some(isMissing) ? 'slot-gone' : undefined
}

/** The looks after a setting; undefined when none is left, so that taking away leaves no trace. */
export function withLook(
  looks: Looks | undefined,
  { key, state, value }: Pick<LookSetting, 'key' | 'state' | 'value'>,
): Looks | undefined {
  const { [state]: _before, ...others } = looks?.[key] ?? {}
  const entry = value === null ? others : { ...others, [state]: value }
  const { [key]: _all, ...rest } = looks ?? {}
  const next: Looks = Object.keys(entry).length ? { ...rest, [key]: entry } : rest
  return Object.keys(next).length ? next : undefined
}

/**
 * The looks without what the parts of a property decide for themselves, as far as nobody parted
 * them from it: a border's sides that are as the whole border was, or all alike, go with it.
 */
function withPartsJoined(
  looks: Looks | undefined,
  properties: readonly Property[],
  { key, state }: Pick<LookSetting, 'key' | 'state'>,
): Looks | undefined {
  const parts = properties.filter((each) => !isFeature(each) && each.within?.includes(key))
  const textOf = (part: string) => {
    const value = looks?.[part]?.[state]
    return value === undefined ? undefined : canonicalJson(value)
  }
  const sides = parts.filter((part) => !isFeature(part) && part.below === undefined)
  const texts = new Set(sides.map((side) => textOf(side.key)))
  const areAlike = texts.size === 1 && !texts.has(undefined)
  return parts
    .filter((part) => {
      const own = textOf(part.key)
      return own !== undefined && (own === textOf(key) || (areAlike && sides.includes(part)))
    })
    .reduce<Looks | undefined>(
      (left, part) => withLook(left, { key: part.key, state, value: null }),
      looks,
    )
}

/** Whether something was begun for a setting and holds nothing after all. */
const isEmptyBase = (on: LookTarget, looks: Looks | undefined) =>
  'style' in on && baseStyle(on.style) !== undefined && !looks

/** Carries out one setting; whoever decides anything of looks comes by here. */
export function setLook(draft: DraftDocs, setting: LookSetting): EditProblem | undefined {
  const { on, key, value } = setting
  const found = find(draft, on)
  if (typeof found === 'string') return found
  const property = found.properties.find((each) => each.key === key)
  if (!property) return 'property-unknown'
  const problem = value === null ? undefined : problemOf(draft, property, value)
  if (problem) return problem
  const joined = withPartsJoined(found.thing.looks, found.properties, setting)
  const looks = withLook(joined, setting)
  if (isEmptyBase(on, looks)) delete draft.frame.styles[(on as { style: never }).style]
  else if (looks) found.thing.looks = looks
  else if ('style' in on) found.thing.looks = {}
  else delete found.thing.looks
  return undefined
}

/** Who wears something, in words, with all that can be decided for it. */
function wearerOf(docs: SiteDocs, on: LookTarget) {
  if ('style' in on) {
    const style = own(docs.frame.styles, on.style)
    const base = baseStyle(on.style)
    const kind = style?.kind ?? base?.kind
    return {
      name: style?.name ?? base?.label ?? on.style,
      properties: kind ? propertiesOf(kind) : [],
    }
  }
  const body = bodyOf(docs, on.doc)
  if ('section' in on) {
    const section = body && own(body.sections, on.section)
    return { name: section?.name ?? on.section, properties: propertiesOf('section') }
  }
  const element = body && own(body.elements, on.element)
  return {
    name: element ? labelOf(element.kind) : on.element,
    properties: element ? propertiesOf(element.kind) : [],
  }
}

/** A setting in words: `Main button, fill: Brand`. */
export function lookWords(docs: SiteDocs, { on, key, state, value }: LookSetting): string {
  const { name, properties } = wearerOf(docs, on)
  const property = properties.find((each) => each.key === key)
  if (!property) return `${name}, ${key}`
  const what = `${name}, ${propertyWords(property, state)}`
  if (value === null) return `${what} as inherited`
  // What cannot stand there is told too, when it is refused.
  if (!valueSchema(property).safeParse(value).success) return what
  return `${what}: ${valueWords(property, value, docs)}`
}

const alongWords = (more: number) =>
  more === 0 ? '' : `, and ${more} that ${more === 1 ? 'goes' : 'go'} along`

/** Decides properties of anything that can decide them, all in one step. */
export const setLooks = defineEdit<z.infer<typeof setLooksCommand>>({
  type: 'setLooks',
  schema: setLooksCommand,
  needs: ({ settings }) =>
    pagesIn(settings.flatMap(({ on }): DocId[] => ('doc' in on ? [on.doc] : []))),
  apply(draft, { settings }) {
    for (const setting of settings) {
      const problem = setLook(draft, setting)
      if (problem) return problem
    }
    return undefined
  },
  describe: ({ settings: [first, ...more] }, docs) =>
    `${lookWords(docs, first!)}${alongWords(more.length)}`,
})
