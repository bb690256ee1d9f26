import { clipToGamut, colorOf } from '../color'
import { textLines, type TextLines } from '../css'
import { kindOf, sectionFacets, type ContentOf, type Facet, type KindId } from '../elements'
import {
  isBound,
  isColor,
  themesInOrder,
  type Body,
  type ColorDecision,
  type DocId,
  type FacetColors,
  type Frame,
  type Page,
  type SiteElement,
  type SlotId,
  type Theme,
} from '../site'
import { roleIds, roleName, roles } from '../roles'
import { readCssColors, type FoundInCss } from './css-reader'
import { readSnippetColors } from './snippet-reader'
import type { PlaceId, Use, UsePath } from './use'

/** What a reader is given: one document, the frame or a page. */
export type Reading =
  | { readonly doc: DocId; readonly frame: Frame; readonly page?: undefined }
  | { readonly doc: DocId; readonly page: Page; readonly frame?: undefined }

export interface Place {
  readonly id: PlaceId
  readonly label: string
  readonly read: (reading: Reading) => Use[]
}

function decisionUse(
  decision: ColorDecision,
  rest: Omit<Use, 'text' | 'decision' | 'color' | 'bindable'>,
): Use {
  if (isBound(decision)) return { ...rest, text: `slot ${decision.slot}`, decision, bindable: true }
  const text = decision.value
  return { ...rest, text, decision, color: colorOf(text), bindable: true }
}

type Facets = Pick<Use, 'place' | 'doc' | 'path' | 'label' | 'owner' | 'object'>

function facetUses(colors: FacetColors | undefined, facets: readonly Facet[], base: Facets): Use[] {
  return facets.flatMap((facet) =>
    (['rest', 'hover'] as const).flatMap((state) => {
      const value = colors?.[facet.key]?.[state]
      if (!value) return []
      const path = [...base.path, facet.key, state]
      const under = state === 'hover' ? ', pointer over' : ''
      const label = `${base.label}, ${facet.label.toLowerCase()}${under}`
      const use = (decision: ColorDecision, at: UsePath, words = label) =>
        decisionUse(decision, {
          ...base,
          path: at,
          paints: facet.paints,
          property: facet.key,
          state,
          label: words,
        })
      if (isColor(value)) return [use(value, path)]
      if ('picture' in value) return [use(value.under, [...path, 'under'])]
      return value.stops.map((stop, i) =>
        use(stop.color, [...path, 'stops', i, 'color'], `${label}, stop ${i + 1}`),
      )
    }),
  )
}

const shorten = (words: string) => (words.length > 32 ? `${words.slice(0, 31).trimEnd()}…` : words)

function bodyUses(place: PlaceId, { doc, page }: Reading, body: Body): Use[] {
  const where = page ? page.title : ''
  const told = (name: string, what: string) => [where, name, what].filter(Boolean).join(', ')
  const uses: Use[] = []
  for (const section of Object.values(body.sections)) {
    const base = { place, doc, path: ['body', 'sections', section.id, 'colors'] }
    const owner = { section: section.id }
    uses.push(
      ...facetUses(section.colors, sectionFacets, {
        ...base,
        object: 'section',
        label: told(section.name, 'section'),
        owner,
      }),
    )
  }
  for (const element of Object.values(body.elements)) {
    if (element.colors) uses.push(...elementUses(place, doc, where, element))
  }
  return uses
}

interface ReadElement {
  /** What else than the element its uses follow from. */
  readonly from: string
  readonly uses: readonly Use[]
}
const readElements = new WeakMap<SiteElement, ReadElement>()

/** The uses of one element; read once for as long as it stays the same object, in whichever state of its page. */
function elementUses(
  place: PlaceId,
  doc: DocId,
  where: string,
  element: SiteElement,
): readonly Use[] {
  const from = `${place} ${doc} ${where}`
  const known = readElements.get(element)
  if (known?.from === from) return known.uses
  const kind = kindOf(element.kind)
  const title = `${kind.label.toLowerCase()} “${shorten(kind.title(element.content))}”`
  const uses = facetUses(element.colors, kind.facets, {
    place,
    object: element.kind,
    doc,
    path: ['body', 'elements', element.id, 'colors'],
    label: where ? `${where}, ${title}` : title,
    owner: { element: element.id },
  })
  readElements.set(element, { from, uses })
  return uses
}

/** A find in text as a use; a slot that is referred to by `var()` counts as bound. Colours of text are what browsers paint. */
function textUse(
  lines: TextLines,
  find: FoundInCss,
  rest: Pick<Use, 'place' | 'doc' | 'path' | 'owner' | 'label' | 'object'>,
): Use[] {
  const slot = find.slot as SlotId | undefined
  const shared = {
    ...rest,
    start: find.start,
    text: find.text,
    ...(find.css === undefined ? {} : { css: find.css }),
    paints: find.paints,
    property: find.property,
    bindable: find.bindable,
    ...lines.around(find.start, find.text.length),
  }
  if (slot !== undefined) return [{ ...shared, decision: { slot } }]
  const value = find.css ?? find.text
  const color = colorOf(value)
  return color ? [{ ...shared, decision: { value }, color: clipToGamut(color) }] : []
}

const themesPlace: Place = {
  id: 'themes',
  label: 'Themes',
  read: ({ frame }) =>
    themesInOrder(frame?.themes ?? { order: [], byId: {} }).flatMap((theme) =>
      (['roles', 'dark'] as const).flatMap((set) => themeUses(theme, set)),
    ),
}

/** The decisions of a theme, of its light or its dark edition. */
function themeUses(theme: Theme, set: 'roles' | 'dark'): Use[] {
  const decided = theme[set]
  if (!decided) return []
  const after = set === 'dark' ? ', after dark' : ''
  return roleIds.map((role) =>
    decisionUse(decided[role], {
      place: 'themes',
      doc: 'frame',
      path: ['themes', 'byId', theme.id, set, role],
      paints: roles[role].paints,
      object: 'theme',
      property: role,
      label: `${theme.name}, ${roleName(role).toLowerCase()}${after}`,
      owner: { theme: theme.id, role },
    }),
  )
}

const stylesPlace: Place = {
  id: 'styles',
  label: 'Element styles',
  read: ({ frame }) =>
    Object.values(frame?.styles ?? {}).flatMap((style) =>
      facetUses(style.colors, kindOf(style.kind as KindId).facets, {
        place: 'styles',
        doc: 'frame',
        path: ['styles', style.id, 'colors'],
        label: style.name,
        object: style.kind,
        owner: { style: style.id },
      }),
    ),
}

const contentPlace: Place = {
  id: 'content',
  label: 'Page content',
  read: (reading) => (reading.page ? bodyUses('content', reading, reading.page.body) : []),
}

const sharedPlace: Place = {
  id: 'shared',
  label: 'Header and footer',
  read: (reading) => (reading.frame ? bodyUses('shared', reading, reading.frame.body) : []),
}

const embedsPlace: Place = {
  id: 'embeds',
  label: 'Embedded snippets',
  read: ({ frame, doc, page }) =>
    Object.values((page ?? frame).body.elements).flatMap((element) => {
      if (element.kind !== 'embed') return []
      const { html, name } = element.content as ContentOf<'embed'>
      const lines = textLines(html)
      return readSnippetColors(html).flatMap((find) =>
        textUse(lines, find, {
          place: 'embeds',
          object: 'embed',
          doc,
          path: ['body', 'elements', element.id, 'content', 'html'],
          label: `${page ? `${page.title}, ` : ''}${name}`,
          owner: { element: element.id, line: lines.lineAt(find.start) },
        }),
      )
    }),
}

const customCssPlace: Place = {
  id: 'custom-css',
  label: 'Custom CSS',
  read({ frame }) {
    return frame ? stylesheetUses(frame.customCss) : []
  },
}

/** The stylesheet that was read last: most changes of a frame leave it as it is. */
let lastRead: { readonly css: string; readonly uses: Use[] } = { css: '', uses: [] }

function stylesheetUses(css: string): Use[] {
  if (css === lastRead.css) return lastRead.uses
  const lines = textLines(css)
  const uses = readCssColors(css, 'stylesheet').flatMap((find) => {
    const line = lines.lineAt(find.start)
    return textUse(lines, find, {
      place: 'custom-css',
      object: 'stylesheet',
      doc: 'frame',
      path: ['customCss'],
      label: `line ${line}`,
      owner: { line },
    })
  })
  lastRead = { css, uses }
  return uses
}

const addOnsPlace: Place = {
  id: 'add-ons',
  label: 'Add-on settings',
  read: ({ frame }) =>
    (frame?.addOns ?? []).flatMap((addOn, i) =>
      Object.entries(addOn.settings).flatMap(([key, setting]) => {
        if (typeof setting !== 'string' || !looksLikeColor(setting)) return []
        const shared = { property: key, paints: 'other' as const, bindable: false }
        const find = { start: 0, text: setting, ...shared }
        return textUse(textLines(setting), find, {
          place: 'add-ons',
          object: 'add-on',
          doc: 'frame',
          path: ['addOns', i, 'settings', key],
          label: `${addOn.name}, ${key}`,
          owner: {},
        })
      }),
    ),
}

/** A setting is free text: only a colour with its `#`, a colour function, or a named colour counts. */
function looksLikeColor(setting: string): boolean {
  return (
    /^(?:#|[a-z]+\(|[a-z]{3,}$)/i.test(setting) &&
    !/^[\da-f]+$/i.test(setting) &&
    !!colorOf(setting)
  )
}

/** Every place, in the order in which hits are listed. */
export const places: readonly Place[] = [
  themesPlace,
  stylesPlace,
  contentPlace,
  sharedPlace,
  embedsPlace,
  customCssPlace,
  addOnsPlace,
]
