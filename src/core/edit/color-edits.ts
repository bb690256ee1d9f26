import * as z from 'zod'
import { kindOf, sectionFacets, type Facet, type KindId } from '../elements'
import {
  bodyOf,
  docId,
  elementId,
  isBound,
  isColor,
  decisionsIn,
  paint,
  sectionId,
  states,
  styleId,
  type Body,
  type ColorDecision,
  type ElementId,
  type Looks,
  type Paint,
  type SiteDocs,
  type State,
} from '../site'
import { defineEdit, draftBody, pagesIn, type DraftDocs, type EditProblem } from './edit'
import { decisionWords } from './theme-edits'

/** What is set: one facet in one state; `paint` null takes the setting away. */
const setting = {
  facet: z.string().max(24),
  state: z.enum(states),
  paint: paint.nullable(),
}

interface Setting {
  readonly facet: string
  readonly state: State
  readonly paint: Paint | null
}

function problemOf(
  draft: DraftDocs,
  facets: readonly Facet[],
  { facet: key, paint: value }: Setting,
): EditProblem | undefined {
  const facet = facets.find((candidate) => candidate.key === key)
  if (!facet) return 'facet-unknown'
  if (!value) return undefined
  if (facet.paints !== 'fill' && !isColor(value)) return 'facet-unknown'
  const { slots } = draft.frame.palette
  const isMissing = (each: ColorDecision) => isBound(each) && !slots[each.slot]
  if (decisionsIn(value).some(isMissing)) return 'slot-gone'
}

/** The colours after a setting; undefined when none is left, so that taking away leaves no trace. */
function withSetting(looks: Looks | undefined, { facet, state, paint: value }: Setting) {
  const { [state]: _before, ...others } = looks?.[facet] ?? {}
  const entry = value ? { ...others, [state]: value } : others
  const { [facet]: _all, ...rest } = looks ?? {}
  const next: Looks = Object.keys(entry).length ? { ...rest, [facet]: entry } : rest
  return Object.keys(next).length ? next : undefined
}

function settingWords({ facet, state, paint: value }: Setting, docs: SiteDocs): string {
  const what = `${facet}${state === 'hover' ? ', pointer over' : ''}`
  if (!value) return `${what} back to the theme`
  if (isColor(value)) return `${what}: ${decisionWords(value, docs)}`
  return `${what}: ${'gradient' in value ? 'gradient' : 'picture'}`
}

/** Most colours that go along with one. */
const mostAlong = 400

const setElementColorCommand = z.strictObject({
  type: z.literal('setElementColor'),
  doc: docId,
  element: elementId,
  ...setting,
  /** Colours that go along with it, of this element or of others in the same document. */
  also: z
    .array(z.strictObject({ ...setting, element: elementId.optional() }))
    .max(mostAlong)
    .optional(),
})

/** Sets one colour of an element. */
function colorElement(body: Body, draft: DraftDocs, id: ElementId, setting: Setting) {
  const element = body.elements[id]
  if (!element) return 'element-gone'
  const problem = problemOf(draft, kindOf(element.kind).facets, setting)
  if (problem) return problem
  const looks = withSetting(element.looks, setting)
  if (looks) element.looks = looks
  else delete element.looks
  return undefined
}

/** `, and 3 that go along`. */
const alongWords = (also: readonly unknown[] = []) =>
  also.length > 0 ? `, and ${also.length} that ${also.length === 1 ? 'goes' : 'go'} along` : ''

export const setElementColor = defineEdit<z.infer<typeof setElementColorCommand>>({
  type: 'setElementColor',
  schema: setElementColorCommand,
  needs: ({ doc }) => pagesIn([doc]),
  apply(draft, command) {
    const body = draftBody(draft, command.doc)
    if (!body) return 'page-gone'
    const { element, also = [] } = command
    for (const each of [{ ...command, element }, ...also]) {
      const problem = colorElement(body, draft, each.element ?? element, each)
      if (problem) return problem
    }
    return undefined
  },
  describe(command, docs) {
    const element = bodyOf(docs, command.doc)?.elements[command.element]
    const kind = element ? kindOf(element.kind).label : command.element
    return `${kind}, ${settingWords(command, docs)}${alongWords(command.also)}`
  },
})

const setSectionColorCommand = z.strictObject({
  type: z.literal('setSectionColor'),
  doc: docId,
  section: sectionId,
  ...setting,
})

export const setSectionColor = defineEdit<z.infer<typeof setSectionColorCommand>>({
  type: 'setSectionColor',
  schema: setSectionColorCommand,
  needs: ({ doc }) => pagesIn([doc]),
  apply(draft, command) {
    const body = draftBody(draft, command.doc)
    if (!body) return 'page-gone'
    const section = body.sections[command.section]
    if (!section) return 'section-gone'
    const problem = problemOf(draft, sectionFacets, command)
    if (problem) return problem
    const looks = withSetting(section.looks, command)
    if (looks) section.looks = looks
    else delete section.looks
  },
  describe(command, docs) {
    const section = bodyOf(docs, command.doc)?.sections[command.section]
    return `${section?.name ?? command.section}, ${settingWords(command, docs)}`
  },
})

const setStyleColorCommand = z.strictObject({
  type: z.literal('setStyleColor'),
  style: styleId,
  ...setting,
  also: z.array(z.strictObject(setting)).max(24).optional(),
})

export const setStyleColor = defineEdit<z.infer<typeof setStyleColorCommand>>({
  type: 'setStyleColor',
  schema: setStyleColorCommand,
  apply(draft, command) {
    const style = draft.frame.styles[command.style]
    if (!style) return 'style-gone'
    for (const each of [command, ...(command.also ?? [])]) {
      const problem = problemOf(draft, kindOf(style.kind as KindId).facets, each)
      if (problem) return problem
      style.looks = withSetting(style.looks, each) ?? {}
    }
    return undefined
  },
  describe: (command, docs) =>
    `${docs.frame.styles[command.style]?.name ?? command.style}, ${settingWords(command, docs)}${alongWords(command.also)}`,
})
