import * as z from 'zod'
import { baseStyle, labelOf } from '../elements'
import {
  canonicalJson,
  docId,
  elementId,
  elementStyleSchema,
  mostStyles,
  own,
  styleId,
  typedName,
  type Frame,
  type StyleId,
} from '../site'
import { defineEdit, draftBody, pagesIn, type DraftDocs, type EditProblem } from './edit'

/** Most elements that one edit gives a style. */
const mostGiven = 2000

const elementsSchema = z
  .array(z.strictObject({ doc: docId, element: elementId }))
  .min(1)
  .max(mostGiven)

/** Whether a name is another style's already, letter case aside. */
const isNamed = ({ styles }: Pick<Frame, 'styles'>, name: string, but?: string) =>
  Object.values(styles).some(
    (style) => style.id !== but && style.name.toLowerCase() === name.toLowerCase(),
  )

/** Whether a style inherits from another one, or is it. */
export function descendsFrom(styles: Frame['styles'], id: string, ancestor: string): boolean {
  const seen = new Set<string>()
  for (let at: string | undefined = id; at && !seen.has(at); at = own(styles, at)?.parent) {
    if (at === ancestor) return true
    seen.add(at)
  }
  return false
}

function parentProblem(
  { styles }: DraftDocs['frame'],
  style: { readonly id: string; readonly kind: string },
  parent: StyleId,
): EditProblem | undefined {
  const above = own(styles, parent)
  if (!above || baseStyle(parent)) return 'style-gone'
  if (above.kind !== style.kind) return 'style-other-kind'
  return descendsFrom(styles as Frame['styles'], parent, style.id) ? 'style-circle' : undefined
}

const addStyleCommand = z.strictObject({
  type: z.literal('addStyle'),
  style: elementStyleSchema,
  /** Elements that have it from now on; what they decide alike themselves goes. */
  wear: elementsSchema.optional(),
})

type Worn = z.infer<typeof elementsSchema>[number]

/** Gives an element a style, or none, if the style is one of its kind. */
function give(
  draft: DraftDocs,
  { doc, element: id }: Worn,
  style: StyleId | undefined,
): EditProblem | undefined {
  const body = draftBody(draft, doc)
  if (!body) return 'page-gone'
  const element = own(body.elements, id)
  if (!element) return 'element-gone'
  if (style === undefined) {
    delete element.style
    return undefined
  }
  if (own(draft.frame.styles, style)?.kind !== element.kind) return 'style-other-kind'
  element.style = style
  return undefined
}

/** Takes away what an element decides exactly as its new style does: it follows from now on. */
function dropRedundant(draft: DraftDocs, { doc, element: id }: Worn, style: StyleId): void {
  const element = own(draftBody(draft, doc)!.elements, id)!
  const shared = own(draft.frame.styles, style)!.looks
  const kept = Object.entries(element.looks ?? {}).flatMap(([key, inStates]) => {
    const others = Object.entries(inStates ?? {}).filter(
      // Whatever the order of their members: one came by the network, the other out of the database.
      ([state, value]) => {
        const own = shared[key]?.[state as 'rest']
        return own === undefined || canonicalJson(value) !== canonicalJson(own)
      },
    )
    return others.length ? [[key, Object.fromEntries(others)] as const] : []
  })
  if (kept.length) element.looks = Object.fromEntries(kept)
  else delete element.looks
}

export const addStyle = defineEdit<z.infer<typeof addStyleCommand>>({
  type: 'addStyle',
  schema: addStyleCommand,
  needs: ({ wear = [] }) => pagesIn(wear.map(({ doc }) => doc)),
  apply(draft, { style, wear = [] }) {
    const { frame } = draft
    const { id, name, parent } = style
    if (own(frame.styles, id) || baseStyle(id)) return 'style-taken'
    if (isNamed(frame, name)) return 'style-named'
    if (Object.keys(frame.styles).length >= mostStyles) return 'styles-full'
    const problem = parent && parentProblem(frame, style, parent)
    if (problem) return problem
    frame.styles[id] = style
    for (const each of wear) {
      const wrong = give(draft, each, id)
      if (wrong) return wrong
      dropRedundant(draft, each, id)
    }
    return undefined
  },
  describe: ({ style, wear = [] }) =>
    `Element style ${style.name} for ${labelOf(style.kind).toLowerCase()}${wear.length ? `, worn by ${wear.length}` : ''}`,
})

const changeStyleCommand = z.strictObject({
  type: z.literal('changeStyle'),
  style: styleId,
  name: typedName.optional(),
  /** The style that it inherits from; null: from its kind's base style alone. */
  parent: styleId.nullable().optional(),
})

/** Another name for a style, or another one that it inherits from. */
export const changeStyle = defineEdit<z.infer<typeof changeStyleCommand>>({
  type: 'changeStyle',
  schema: changeStyleCommand,
  apply({ frame }, { style: id, name, parent }) {
    const style = own(frame.styles, id)
    if (!style || baseStyle(id)) return 'style-gone'
    if (name !== undefined) {
      if (isNamed(frame, name, id)) return 'style-named'
      style.name = name
    }
    if (parent === null) delete style.parent
    if (parent) {
      const problem = parentProblem(frame, style, parent)
      if (problem) return problem
      style.parent = parent
    }
    return undefined
  },
  describe({ style: id, name, parent }, { frame }) {
    const before = own(frame.styles, id)?.name ?? id
    const told =
      name === undefined ? `Element style ${before}` : `Element style ${before} is called ${name}`
    if (parent === undefined) return told
    return parent === null
      ? `${told} inherits from its kind alone`
      : `${told} inherits from ${own(frame.styles, parent)?.name ?? parent}`
  },
})

const giveStyleCommand = z.strictObject({
  type: z.literal('giveStyle'),
  /** Null: none but what all of their kind have. */
  style: styleId.nullable(),
  to: elementsSchema,
})

export const giveStyle = defineEdit<z.infer<typeof giveStyleCommand>>({
  type: 'giveStyle',
  schema: giveStyleCommand,
  needs: ({ to }) => pagesIn(to.map(({ doc }) => doc)),
  apply(draft, { style, to }) {
    if (style !== null && (!own(draft.frame.styles, style) || baseStyle(style))) return 'style-gone'
    for (const each of to) {
      const problem = give(draft, each, style ?? undefined)
      if (problem) return problem
    }
    return undefined
  },
  describe({ style, to }, { frame }) {
    const whom = to.length === 1 ? 'an element' : `${to.length} elements`
    return style === null
      ? `No element style for ${whom}`
      : `Element style ${own(frame.styles, style)?.name ?? style} for ${whom}`
  },
})
