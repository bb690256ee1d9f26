import { produce } from 'immer'
import * as z from 'zod'
import { setLook, type EditProblem } from '../edit'
import {
  baseOf,
  baseStyle,
  isFeature,
  kindIds,
  kindOf,
  propertiesOf,
  type Facet,
  type Property,
} from '../elements'
import { facetRole, styleChain } from '../resolve'
import { roleIds, roleName, type RoleId } from '../roles'
import {
  canonicalJson,
  changesOfRecord,
  colorDecision,
  looksOver,
  own,
  siteDocs,
  styleId,
  themeId,
  walkSection,
  type Body,
  type ElementStyle,
  type Frame,
  type Looks,
  type LookValue,
  type Page,
  type SiteElement,
  type StyleId,
} from '../site'
import { isTaken, settings, settingsSchema, states, type SettingId, type State } from '../traits'
import { defineWide, many, nothing, ready, refuse, type Planned, type Subject } from './wide'

type Styles = Frame['styles']

/** A record that holds elements, with what a function makes of each of them. */
function withElements<R extends Frame | Page>(
  record: R,
  change: (element: SiteElement) => SiteElement,
): { readonly record: R; readonly count: number } {
  let count = 0
  const elements = Object.fromEntries(
    Object.entries(record.body.elements).map(([id, element]) => {
      const next = change(element as SiteElement)
      if (next !== element) count += 1
      return [id, next]
    }),
  )
  return count
    ? { record: { ...record, body: { ...record.body, elements } }, count }
    : { record, count }
}

const planned = (before: Frame | Page, after: Frame | Page, count: number): Planned => ({
  changes: changesOfRecord(before, after),
  count,
})

/** What an element would lose that changes its style: what the styles decide that it inherits from no more. */
function looksLost(styles: Styles, style: StyleId, to: StyleId | undefined): Looks {
  const stays = new Set(styleChain(styles, to).map(({ id }) => id))
  return styleChain(styles, style)
    .filter(({ id }) => !stays.has(id))
    .reduceRight<Looks>((below, { looks }) => looksOver(looks, below), {})
}

const dressed = (element: SiteElement, style: StyleId | undefined, lost: Looks): SiteElement => {
  const { style: _was, looks, ...rest } = element
  const next = looksOver(looks, lost)
  return {
    ...rest,
    ...(Object.keys(next).length ? { looks: next } : {}),
    ...(style ? { style } : {}),
  } as SiteElement
}

const exchangeStyleIntent = z.strictObject({
  type: z.literal('exchangeStyle'),
  style: styleId,
  /** The style that takes its place; null: none but what all of the kind have. */
  to: styleId.nullable(),
  /** Whether what it decided stays with the elements themselves. */
  keep: z.boolean(),
  /** Whether the style itself goes. */
  remove: z.boolean(),
})

type ExchangeIntent = z.infer<typeof exchangeStyleIntent>

function exchangeProblem(
  { style, to, remove }: ExchangeIntent,
  styles: Styles,
): EditProblem | undefined {
  const from = own(styles, style)
  if (!from || baseStyle(style)) return 'style-gone'
  if (to === null) return undefined
  const target = own(styles, to)
  if (!target || baseStyle(to) || to === style) return 'style-gone'
  if (target.kind !== from.kind) return 'style-other-kind'
  // One that inherits from what goes could not take its place.
  const descends = styleChain(styles, to).some(({ id }) => id === style)
  return remove && descends ? 'style-circle' : undefined
}

/** The styles without one: those that inherited from it inherit from what it did, and keep what it decided if that is wanted. */
function withoutStyle(styles: Styles, id: StyleId, keep: boolean): Styles {
  const { [id]: gone, ...others } = styles
  return Object.fromEntries(
    Object.entries(others).map(([name, style]) => {
      if (style.parent !== id) return [name, style]
      const { parent: _was, ...rest } = style
      const looks = keep ? looksOver(style.looks, gone!.looks) : style.looks
      return [name, { ...rest, looks, ...(gone!.parent ? { parent: gone!.parent } : {}) }]
    }),
  ) as Styles
}

/** Puts another element style, or none, in the place of one wherever it is worn; and takes it away, if that is wanted. */
export const exchangeStyle = defineWide({
  type: 'exchangeStyle',
  schema: exchangeStyleIntent,
  asks: [],
  always: true,
  prepare(intent: ExchangeIntent, { frame }) {
    const problem = exchangeProblem(intent, frame.styles)
    if (problem) return refuse(problem)
    const to = intent.to ?? undefined
    const lost = intent.keep ? looksLost(frame.styles, intent.style, to) : {}
    return ready({ ...intent, to, lost, frame })
  },
  reach: ({ style }) => ({ frame: true, looks: { style } }),
  plan({ style, to, lost, keep, remove }, { kind, read }) {
    if (kind !== 'frame' && kind !== 'page') return nothing
    const before = read() as Frame | Page
    const { record: after, count } = withElements(before, (element) =>
      element.style === style ? dressed(element, to, lost) : element,
    )
    if (kind === 'page' || !remove) return planned(before, after, count)
    const { styles } = after as Frame
    return planned(before, { ...after, styles: withoutStyle(styles, style, keep) } as Frame, count)
  },
  describe({ style, to, remove, keep, frame }, count) {
    const name = (id: StyleId) => frame.styles[id]?.name ?? id
    const what = remove ? `Element style ${name(style)} removed` : `Element style ${name(style)}`
    const whom = to ? `given ${name(to)}` : keep ? 'keep their looks' : 'as all of their kind'
    return `${what}, ${many(count, 'element')} ${whom}`
  },
})

const liftLookIntent = z.strictObject({
  type: z.literal('liftLook'),
  /** The kind of element that it was decided for. */
  kind: z.string().max(40),
  key: z.string().max(48),
  state: z.enum(states),
  value: z.custom<LookValue>((value) => value !== undefined && value !== null, 'no value'),
  to: z.union([
    z.strictObject({ style: styleId }),
    z.strictObject({ themes: z.array(themeId).min(1).max(64), role: z.enum(roleIds) }),
    z.strictObject({ setting: z.enum(Object.keys(settings) as [SettingId, ...SettingId[]]) }),
  ]),
})

type LiftIntent = z.infer<typeof liftLookIntent>

/** The frame with a decision where it is lifted to, or why it cannot be there. */
function lifted(frame: Frame, { key, state, value, to }: LiftIntent): Frame | EditProblem {
  if ('setting' in to) {
    if (!isTaken(frame.settings, to.setting)) return 'value-unfit'
    const next = settingsSchema.safeParse({ ...frame.settings, [to.setting]: value })
    return next.success ? { ...frame, settings: next.data } : 'value-unfit'
  }
  if ('role' in to) {
    const decision = colorDecision.safeParse(value)
    if (!decision.success) return 'value-unfit'
    if (to.themes.some((id) => !own(frame.themes.byId, id))) return 'theme-gone'
    return produce(frame, ({ themes }) => {
      for (const id of to.themes) {
        const theme = themes.byId[id]!
        theme.roles[to.role] = decision.data
        if (!theme.hand.includes(to.role)) theme.hand.push(to.role)
      }
    })
  }
  let problem: EditProblem | undefined
  const docs = produce(siteDocs(frame), (draft) => {
    problem = setLook(draft, { on: { style: to.style }, key, state, value })
  })
  return problem ?? docs.frame
}

interface Lift extends LiftIntent {
  readonly frame: Frame
  readonly after: Frame
  readonly property: Property
  readonly text: string
}

/** The styles that stand nearer to an element than where a decision is lifted to. */
function stylesBefore({ frame, to }: Lift, element: SiteElement): ElementStyle[] | undefined {
  const chain = styleChain(frame.styles, element.style)
  const base = own(frame.styles, baseOf(element.kind, element.content).id)
  const all = [...chain, ...(base ? [base] : [])]
  if (!('style' in to)) return all
  const isBase = baseStyle(to.style) !== undefined
  if (isBase) return baseOf(element.kind, element.content).id === to.style ? chain : undefined
  const at = chain.findIndex(({ id }) => id === to.style)
  return at < 0 ? undefined : chain.slice(0, at)
}

/** The role that a facet takes in a state, where styles decide nothing. */
const roleIn = (facet: Facet, element: SiteElement, state: State): RoleId | undefined =>
  state === 'rest' ? facetRole(facet, element) : state === 'hover' ? facet.hover : undefined

/** Whether an element would look the same without its own decision: it inherits what was lifted. */
function isRedundant(lift: Lift, element: SiteElement, theme: string): boolean {
  const { kind, key, state, text, to, property } = lift
  const value = element.looks?.[key]?.[state]
  if (element.kind !== kind || value === undefined || canonicalJson(value) !== text) return false
  const nearer = stylesBefore(lift, element)
  if (!nearer) return false
  // The whole of which it is a part would count before it, if that is decided nearer.
  const wholes = isFeature(property) ? [] : (property.within ?? [])
  const decides = (looks: Looks | undefined, names: readonly string[]) =>
    names.some((name) => looks?.[name]?.[state] !== undefined)
  if (decides(element.looks, wholes)) return false
  if (nearer.some(({ looks }) => decides(looks, [key, ...wholes]))) return false
  if (!('role' in to)) return true
  const isThere = (to.themes as readonly string[]).includes(theme)
  return isThere && roleIn(property as Facet, element, state) === to.role
}

function withoutLook({ looks, ...element }: SiteElement, key: string, state: State): SiteElement {
  const { [state]: _gone, ...others } = looks?.[key] ?? {}
  const { [key]: _all, ...rest } = looks ?? {}
  const next = Object.keys(others).length ? { ...rest, [key]: others } : rest
  return { ...element, ...(Object.keys(next).length ? { looks: next } : {}) } as SiteElement
}

/** Elements by the theme of the section that they stand in; none for a header that blends, which takes another one on each page. */
function themesOf(body: Body): ReadonlyMap<string, string> {
  const found = new Map<string, string>()
  for (const section of Object.values(body.sections)) {
    if (section.blend) continue
    walkSection(body, section, ({ id }) => void found.set(id, section.theme))
  }
  return found
}

function planLift(lift: Lift, { kind, read }: Subject): Planned {
  if (kind !== 'frame' && kind !== 'page') return nothing
  const before = read() as Frame | Page
  const base = kind === 'frame' ? lift.after : before
  const themes = themesOf(before.body)
  const { record: after, count } = withElements(base, (element) =>
    isRedundant(lift, element, themes.get(element.id) ?? '')
      ? withoutLook(element, lift.key, lift.state)
      : element,
  )
  return planned(before, after, count)
}

/** Makes what one element decided of its own the decision of its style, its theme or the site; whoever decided the same follows from now on. */
export const liftLook = defineWide({
  type: 'liftLook',
  schema: liftLookIntent,
  asks: [],
  always: true,
  prepare(intent: LiftIntent, { frame }) {
    const kind = kindIds.find((id) => id === intent.kind)
    const property = kind && propertiesOf(kind).find(({ key }) => key === intent.key)
    if (!property) return refuse('property-unknown')
    const after = lifted(frame, intent)
    if (typeof after === 'string') return refuse(after)
    return ready({ ...intent, frame, after, property, text: canonicalJson(intent.value) })
  },
  reach: ({ kind }) => ({ frame: true, looks: { kind } }),
  plan: planLift,
  describe({ to, property, kind, frame }, count) {
    const what = `${kindOf(kind as SiteElement['kind']).label}, ${property.label.toLowerCase()}`
    const where =
      'setting' in to
        ? 'for the whole site'
        : 'role' in to
          ? `as ${roleName(to.role).toLowerCase()} in ${to.themes.length === 1 ? frame.themes.byId[to.themes[0]!]?.name : many(to.themes.length, 'theme')}`
          : `for ${frame.styles[to.style]?.name ?? baseStyle(to.style)?.label ?? to.style}`
    return `${what} decided ${where}, ${many(count, 'element')} of ${count === 1 ? 'its' : 'their'} own follow`
  },
})
