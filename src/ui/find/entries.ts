import { colorOf, difference, type Color } from '@/core/color'
import { baseStyle, baseStyles, isFeature, kindOf, type Property } from '@/core/elements'
import { propertyWords } from '@/core/edit'
import { propertiesOfThing, slotColor, spotsOnPage, type Spot } from '@/core/resolve'
import { everydayWords, roleIds, roleName, roles, type RoleId } from '@/core/roles'
import {
  bodyOf,
  slotsInOrder,
  themesInOrder,
  type DocId,
  type ElementId,
  type PageId,
  type SectionId,
  type SiteDocs,
  type SiteElement,
  type SlotId,
  type ThemeId,
} from '@/core/site'
import { settingIds, settings, traits, type SettingId, type TraitId } from '@/core/traits'
import type { LooksPane } from '../editor'

/** Where something that can be set is set. */
export type Place =
  | { readonly at: 'slot'; readonly slot: SlotId }
  | { readonly at: 'role'; readonly role: RoleId; readonly themes: readonly ThemeId[] }
  | { readonly at: 'setting'; readonly setting: SettingId }
  | { readonly at: 'pane'; readonly pane: LooksPane }
  | { readonly at: 'view'; readonly view: string }
  | { readonly at: 'sweep'; readonly color: string }
  | {
      readonly at: 'thing'
      readonly doc: DocId
      readonly section: SectionId
      readonly element?: ElementId
      readonly property: string
    }

export const entryGroups = ['Palette', 'Themes', 'This page', 'The whole site', 'Go to'] as const
export type EntryGroup = (typeof entryGroups)[number]

/** One thing that can be set, by what it is called, and by whatever else people call it. */
export interface Entry {
  readonly key: string
  readonly group: EntryGroup
  readonly label: string
  readonly more?: string
  /** Other words for it. */
  readonly words: string
  readonly color?: string
  readonly place: Place
}

function ofPalette({ frame }: SiteDocs): Entry[] {
  return slotsInOrder(frame.palette).map(({ id, name, value, note = '', group = '' }) => ({
    key: `slot/${id}`,
    group: 'Palette',
    label: name,
    more: value ?? 'empty',
    words: `slot colour ${value ?? ''} ${note} ${group}`,
    ...(value === null ? {} : { color: value }),
    place: { at: 'slot', slot: id },
  }))
}

function ofThemes({ frame }: SiteDocs): Entry[] {
  const themes = themesInOrder(frame.themes)
  const inRoles = roleIds.map((role): Entry => ({
    key: `role/${role}`,
    group: 'Themes',
    label: roleName(role),
    more: 'in all themes',
    words: `${roles[role].group} ${everydayWords(role).join(' ')}`,
    place: { at: 'role', role, themes: themes.map(({ id }) => id) },
  }))
  const named = themes.map(({ id, name }): Entry => ({
    key: `theme/${id}`,
    group: 'Themes',
    label: name,
    more: 'theme',
    words: 'theme section colours',
    place: { at: 'role', role: 'ground', themes: [id] },
  }))
  return [...inRoles, ...named]
}

/** What a property is called besides its name. */
function aliases(property: Property): string {
  if (isFeature(property)) {
    const { property: css, alias, label } = traits[property.trait]
    return [label, css, ...alias].join(' ')
  }
  const role = typeof property.role === 'string' ? everydayWords(property.role).join(' ') : ''
  return `colour ${property.paints} ${role} ${property.hover ? 'hover pointer over' : ''}`
}

function ofThing(spot: Spot, element: SiteElement | undefined, more: string): Entry[] {
  const { doc, section } = spot
  const kind = element ? kindOf(element.kind).label : section.kind
  return propertiesOfThing(element).map((property) => ({
    key: `${doc}/${section.id}/${element?.kind ?? ''}/${property.key}`,
    group: 'This page',
    label: `${element ? `${kind}: ` : 'Section: '}${propertyWords(property, 'rest')}`,
    more,
    words: `${kind} ${section.kind} ${section.name} ${aliases(property)}`,
    place: {
      at: 'thing',
      doc,
      section: section.id,
      ...(element ? { element: element.id } : {}),
      property: property.key,
    },
  }))
}

/** All that can be decided for what stands on a page: of each kind of element in a section, the first. */
function ofPage(docs: SiteDocs, page: PageId): Entry[] {
  return spotsOnPage(docs, page).flatMap((spot) => {
    const body = bodyOf(docs, spot.doc)
    const firsts = new Map<string, SiteElement>()
    const visit = (ids: readonly ElementId[]): void => {
      for (const id of ids) {
        const element = body?.elements[id]
        if (!element) continue
        if (!firsts.has(element.kind)) firsts.set(element.kind, element)
        visit((element.children ?? []) as readonly ElementId[])
      }
    }
    visit(spot.section.children as readonly ElementId[])
    const more = spot.section.name
    return [
      ...ofThing(spot, undefined, more),
      ...[...firsts.values()].flatMap((element) => ofThing(spot, element, more)),
    ]
  })
}

/** What the names of settings end in, and the trait that each is about. */
const ABOUT: ReadonlyArray<readonly [RegExp, TraitId]> = [
  [/Corner$/, 'corner'],
  [/Line$/, 'lineWidth'],
  [/Pad$/, 'padding'],
  [/Face$/, 'face'],
  [/Weight$/, 'weight'],
  [/Case$/, 'case'],
  [/Spacing$/, 'spacing'],
  [/Leading$/, 'leading'],
  [/[sS]cale$|textSize/, 'size'],
  [/measure/, 'measure'],
  [/Space$|density/, 'space'],
  [/Width$/, 'width'],
]

function traitWords(setting: SettingId): string {
  const trait = ABOUT.find(([ending]) => ending.test(setting))?.[1]
  return trait ? [traits[trait].property, ...traits[trait].alias].join(' ') : 'button shape icon'
}

function ofSite({ frame }: SiteDocs): Entry[] {
  const set = settingIds.map((setting): Entry => ({
    key: `setting/${setting}`,
    group: 'The whole site',
    label: settings[setting].label,
    more: settings[setting].group,
    words: `site-wide ${traitWords(setting)}`,
    place: { at: 'setting', setting },
  }))
  const bases = baseStyles.map(({ id, label }): Entry => ({
    key: `base/${id}`,
    group: 'The whole site',
    label: `Every ${label.toLowerCase()}`,
    more: 'element style',
    words: 'style',
    place: { at: 'pane', pane: 'styles' },
  }))
  const own = Object.values(frame.styles).flatMap(({ id, name }): Entry[] =>
    baseStyle(id)
      ? []
      : [
          {
            key: `style/${id}`,
            group: 'The whole site',
            label: name,
            more: 'element style',
            words: 'style variant',
            place: { at: 'pane', pane: 'styles' },
          },
        ],
  )
  return [...set, ...bases, ...own]
}

const WAYS: ReadonlyArray<readonly [label: string, words: string, place: Place]> = [
  ['Theme sheet', 'themes roles matrix table dark edition', { at: 'view', view: '/themes' }],
  ['Rhythm of the pages', 'section themes order', { at: 'view', view: '/rhythm' }],
  ['Sweep', 'replace colour everywhere find', { at: 'view', view: '/sweep' }],
  ['History', 'undo checkpoint versions', { at: 'view', view: '/history' }],
  ['Liveries', 'design template look keep save swap', { at: 'pane', pane: 'liveries' }],
  ['Custom CSS', 'code stylesheet style rules', { at: 'pane', pane: 'css' }],
  ['Fonts of your own', 'upload font typeface file woff', { at: 'pane', pane: 'type' }],
  ['Pairs of typefaces', 'fonts pairing', { at: 'pane', pane: 'type' }],
]

const ways = (): Entry[] =>
  WAYS.map(([label, words, place]) => ({
    key: `way/${label}`,
    group: 'Go to',
    label,
    words,
    place,
  }))

/** Everything that can be set and that is at hand. */
export const entriesOf = (docs: SiteDocs, page: PageId): Entry[] => [
  ...ofPalette(docs),
  ...ofThemes(docs),
  ...ofSite(docs),
  ...ways(),
  ...ofPage(docs, page),
]

/** CIEDE2000 up to which a slot counts as near to a colour that is typed. */
const NEAR = 12

/** What a colour that is typed leads to: slots that hold it or are near, and sweeping it. */
export function entriesOfColor(docs: SiteDocs, text: string): Entry[] {
  const color = colorOf(text.trim())
  if (!color) return []
  const gap = (id: SlotId, of: Color) => difference(slotColor(docs.frame.palette, id), of)
  const near = ofPalette(docs)
    .flatMap((entry) => {
      if (entry.place.at !== 'slot' || !entry.color) return []
      const apart = gap(entry.place.slot, color)
      const more = apart < 0.5 ? 'holds this colour' : `near it: ΔE ${apart.toFixed(1)}`
      return apart <= NEAR ? [{ entry: { ...entry, more }, apart }] : []
    })
    .sort((a, b) => a.apart - b.apart)
  const sweep: Entry = {
    key: 'sweep',
    group: 'Go to',
    label: `Where ${text.trim()} is used`,
    more: 'Sweep',
    words: '',
    color: text.trim(),
    place: { at: 'sweep', color: text.trim() },
  }
  return [...near.map(({ entry }) => entry), sweep]
}
