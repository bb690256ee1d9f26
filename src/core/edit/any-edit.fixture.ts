import { demoSites } from '@demo/sites'
import fc from 'fast-check'
import type * as z from 'zod'
import { addOnKindIds } from '../add-ons'
import { propertiesOf } from '../elements'
import { liveryOf, liveryParts } from '../livery'
import {
  fontSchema,
  fontVersion,
  pictureEndings,
  textFault,
  type AddOnSetting,
  type SiteDocs,
} from '../site'
import { structureEdits } from './any-structure.fixture'
import { editKinds, type Edit } from './edits'

/** Names that every object answers to, and names that are no id; a site must take none of them for something that is there. */
export const nastyNames = [
  'constructor',
  '__proto__',
  'prototype',
  'toString',
  'valueOf',
  'hasOwnProperty',
  'isPrototypeOf',
  'toLocaleString',
  '__defineGetter__',
]

interface Pools {
  /** Texts by the member that they stand in. */
  readonly texts: Readonly<Record<string, readonly unknown[]>>
  /** What belongs together: a section or an element with the document that it is in. */
  readonly places: readonly Place[]
  /** Lists that are taken whole, in any order, by the kind of edit. */
  readonly orders: Readonly<Record<string, readonly unknown[]>>
}
interface Place {
  readonly doc: string
  readonly section?: string
  readonly element?: string
}

/** What a person could mean by each member of a command on a site, by the member's name. */
function poolsOf(type: EditTypeName, { frame, pages, pictures, fonts }: SiteDocs): Pools {
  const all = Object.values(pages)
  const bodies = [frame.body, ...all.map(({ body }) => body)]
  const slots = frame.palette.order
  const themes = frame.themes.order
  const elements = bodies.flatMap(({ elements: own }) => Object.values(own))
  const doc = ['frame', ...all.map(({ id }) => id)]
  const colors = ['#1c5a54', 'teal', 'rgb(1 2 3 / 40%)', 'hsl(20 50% 50%)', '#FFF']
  const texts = {
    slot: type === 'addSlot' ? ['moss', 'sand', 'brand'] : slots,
    theme: themes,
    themes,
    to: themes,
    after: themes,
    doc,
    section: bodies.flatMap(({ order }) => order),
    part: frame.body.order,
    element: elements.map(({ id }) => id),
    style: Object.keys(frame.styles),
    key: elements.flatMap(({ kind }) => propertiesOf(kind).map(({ key }) => key)),
    titleFace: ['Karla', 'Bitter'],
    value: colors,
    name: ['New', 'Soft grey', 'Été', '<b>'],
    group: ['Brand', 'Greys'],
    study: [...frame.studies.map(({ id }) => id), 'plum'],
    css: ['', 'a{color:red}', 'a{color:#1c5a54'],
    picture: Object.keys(pictures),
    page: Object.keys(pages),
    font: Object.keys(fonts),
    order: ['a0V', 'a9', 'Zz', 'b'],
    path: ['customCss', 'themes', 'byId', 'roles', 'body'],
    id: ['moss', 'sand', 'on-moss'],
    before: colors,
  }
  const places = [['frame', frame.body] as const, ...all.map(({ id, body }) => [id, body] as const)]
  return {
    texts,
    places: places.flatMap(([own, body]) => [
      ...body.order.map((section) => ({ doc: own, section })),
      ...Object.keys(body.elements).map((element) => ({ doc: own, element })),
    ]),
    orders: { orderSlots: slots, orderThemes: themes },
  }
}

/** What somebody could mean by the value of a property: some of it fits what it is sent for. */
const lookValues = fc.constantFrom<unknown>(
  null,
  { slot: 'brand' },
  { slot: 'ink', shade: { lightness: -8 } },
  { value: 'teal' },
  12,
  0.5,
  1.4,
  400,
  'uppercase',
  'heading',
  'solid',
  { step: 2 },
  { px: 18, narrow: 16 },
  { block: 8, inline: 20 },
  { shadows: [{ x: 0, y: 2, blur: 6, spread: 0, color: { slot: 'ink' } }] },
  { line: 'wavy', thickness: 2, color: { value: 'teal' } },
)

interface Def {
  readonly type: string
  readonly [key: string]: unknown
}
type Schema = z.ZodType & { readonly _zod: { readonly def: Def } }

/** The least and the most that a number, or the length of a list, may be. */
function boundsOf({ checks = [] }: Def): { minimum?: number; maximum?: number } {
  const bounds: { minimum?: number; maximum?: number } = {}
  for (const { _zod } of checks as ReadonlyArray<{ _zod: { def: CheckDef } }>) {
    const { check, value, minimum, maximum } = _zod.def
    if (check === 'greater_than' || check === 'min_length') bounds.minimum = value ?? minimum
    if (check === 'less_than' || check === 'max_length') bounds.maximum = value ?? maximum
  }
  return bounds
}
interface CheckDef {
  readonly check: string
  readonly value?: number
  readonly minimum?: number
  readonly maximum?: number
}

/** Lists are kept short: what matters of a list shows in a few. */
const MANY = 4

/** Arbitrary data of the shape of a Zod schema; texts come from pools, by the name of the member that they stand in. */
function anyOf(schema: Schema, pools: Pools, member: string, depth = 0): fc.Arbitrary<unknown> {
  const { def } = schema._zod
  const bag = boundsOf(def)
  const inner = (key: string, name = member) => anyOf(def[key] as Schema, pools, name, depth + 1)
  switch (def.type) {
    case 'object':
      return anyObject(def, pools, depth)
    case 'literal':
      return fc.constantFrom(...(def.values as unknown[]))
    case 'enum':
      return fc.constantFrom(...Object.values(def.entries as Record<string, string>))
    case 'string': {
      const own = pools.texts[member] ?? pools.texts.name!
      // Where the site has none, one that it once had.
      return fc.constantFrom(...(own.length ? own : ['gone']))
    }
    case 'number':
      return fc.integer({
        min: Math.ceil(Math.max(-1000, bag.minimum ?? -1000)),
        max: Math.floor(Math.min(1000, bag.maximum ?? 1000)),
      })
    case 'boolean':
      return fc.boolean()
    case 'null':
      return fc.constant(null)
    case 'array':
      return fc.array(inner('element'), {
        minLength: bag.minimum ?? 0,
        maxLength: Math.max(bag.minimum ?? 0, Math.min(bag.maximum ?? MANY, MANY)),
      })
    case 'nullable':
      return fc.option(inner('innerType'))
    case 'optional':
      return fc.option(inner('innerType'), { nil: undefined })
    case 'union':
      return fc.oneof(
        ...(def.options as Schema[]).map((option) => anyOf(option, pools, member, depth + 1)),
      )
    case 'record': {
      const keys = def.keyType as Schema
      const { entries } = keys._zod.def as { entries?: Record<string, string> }
      if (!entries)
        return fc.dictionary(fc.constantFrom(...nastyNames, 'on-ink'), inner('valueType'), {
          maxKeys: 2,
        })
      const each = inner('valueType')
      return fc.record(Object.fromEntries(Object.values(entries).map((key) => [key, each])))
    }
    case 'tuple':
      return fc.tuple(
        ...(def.items as Schema[]).map((item) => anyOf(item, pools, member, depth + 1)),
      )
    case 'pipe':
      return inner('in')
    case 'custom':
      return lookValues
    case 'lazy':
      return fc.constantFrom(1, 'x', null)
    default:
      throw new Error(`no arbitrary for ${def.type}: add it to any-edit.fixture.ts`)
  }
}

function anyObject(def: Def, pools: Pools, depth: number): fc.Arbitrary<unknown> {
  const shape = Object.entries(def.shape as Record<string, Schema>)
  const members = shape.map(([key, schema]) => [key, anyOf(schema, pools, key, depth + 1)] as const)
  const keys = shape.map(([key]) => key)
  const fitting = pools.places.filter((place) =>
    Object.keys(place).every((key) => keys.includes(key)),
  )
  const place =
    fitting.length && keys.includes('doc') ? fc.constantFrom(...fitting) : fc.constant({})
  const [type] =
    ((def.shape as { type?: Schema }).type?._zod.def.values as string[] | undefined) ?? []
  const whole = type === undefined ? undefined : pools.orders[type]
  const order = whole ? fc.shuffledSubarray([...whole], { minLength: whole.length }) : undefined
  return fc
    .tuple(fc.record(Object.fromEntries(members)), place, order ?? fc.constant(undefined))
    .map(([value, own, list]) =>
      Object.fromEntries(
        Object.entries({ ...value, ...own, ...(list ? { order: list } : {}) }).filter(
          ([, each]) => each !== undefined,
        ),
      ),
    )
}

export const editTable = editKinds
export type EditTypeName = keyof typeof editTable

/** A font of one’s own. */
export const aFont = fontSchema.parse({
  schema: fontVersion,
  id: 'own-sans',
  file: 'a'.repeat(64),
  fileName: 'own-sans.woff2',
  family: 'Own Sans',
  style: 'normal',
  weights: [300, 800],
  license: 'Made for the test',
})

/** A picture under another id and name, with the ending that it has. */
const withName = (picture: SiteDocs['pictures'][string], id: string) => ({
  ...picture,
  id,
  fileName: `${id}.${pictureEndings[picture.mediaType][0]}`,
})

/** Edits that carry whole records or parts of them: made from those of the site. */
const madeFromSite: Readonly<Partial<Record<EditTypeName, (docs: SiteDocs) => unknown>>> = {
  ...structureEdits,
  addPage: ({ pages }) => ({
    type: 'addPage',
    page: { ...Object.values(pages)[0]!, id: 'extra', path: 'extra', order: 'a0V' },
  }),
  addStyle: ({ pages }) => {
    const [page] = Object.values(pages)
    const button = Object.values(page!.body.elements).find(({ kind }) => kind === 'mainButton')
    return {
      type: 'addStyle',
      style: { id: 'extra', name: 'Extra', kind: 'mainButton', looks: { corner: { rest: 20 } } },
      ...(button ? { wear: [{ doc: page!.id, element: button.id }] } : {}),
    }
  },
  addPicture: ({ pictures }) => ({
    type: 'addPicture',
    picture: withName(Object.values(pictures)[0]!, 'extra'),
  }),
  together: ({ frame, pages }) => ({
    type: 'together',
    told: 'Two things at once',
    edits: [
      { type: 'renameSite', name: `${frame.name} two`.slice(-60) },
      { type: 'setPage', page: Object.keys(pages)[0]!, description: 'Said together' },
    ],
  }),
  exchangePicture: ({ pictures }) => ({
    type: 'exchangePicture',
    picture: Object.keys(pictures)[0]!,
    file: 'b'.repeat(64),
    fileName: 'exchanged.png',
    mediaType: 'image/png',
    width: 900,
    height: 600,
    alt: 'Another',
  }),
  // A livery hangs together as a frame does: that of the other site, or of this one.
  takeLivery: ({ frame, pictures }) =>
    fc.record({
      type: fc.constant('takeLivery'),
      name: fc.constantFrom('Other', 'Spring'),
      livery: fc.constantFrom(
        liveryOf(frame, pictures),
        ...demoSites.map((site) => liveryOf(site.frame, {})),
      ),
      parts: fc.subarray([...liveryParts], { minLength: 1 }),
    }),
  addAddOn: () =>
    fc.record({
      type: fc.constant('addAddOn'),
      id: fc.constantFrom('extra', 'letter'),
      kind: fc.constantFrom(...addOnKindIds),
    }),
  setAddOn: ({ frame: { addOns, palette } }) =>
    fc.record(
      {
        type: fc.constant('setAddOn'),
        id: fc.constantFrom('nothing', ...addOns.map(({ id }) => id)),
        name: fc.constantFrom('Talk to us', 'Chat'),
        settings: fc.dictionary(
          fc.constantFrom(...addOns.flatMap(({ settings }) => Object.keys(settings)), 'odd'),
          fc.oneof(
            fc.constantFrom<AddOnSetting>('left', 'words', true, 3, { value: 'teal' }),
            fc.constantFrom(...palette.order.map((slot) => ({ slot }))),
          ),
          { maxKeys: 3 },
        ),
      },
      { requiredKeys: ['type', 'id'] },
    ),
  removeAddOn: ({ frame: { addOns } }) =>
    fc.record({
      type: fc.constant('removeAddOn'),
      id: fc.constantFrom('nothing', ...addOns.map(({ id }) => id)),
    }),
  addFont: ({ fonts }) => ({
    type: 'addFont',
    font: { ...(Object.values(fonts)[0] ?? aFont), id: 'extra', fileName: 'extra.woff2' },
  }),
}

/** Any edit of one kind that the schema takes, on a site; every kind of the table has one. */
export function anyEditOf(type: EditTypeName, docs: SiteDocs): fc.Arbitrary<Edit> {
  const { schema } = editTable[type]
  const own = madeFromSite[type]?.(docs)
  const any = own
    ? own instanceof fc.Arbitrary
      ? own
      : fc.constant(own)
    : anyOf(schema as unknown as Schema, poolsOf(type, docs), 'name')
  return any.filter(
    (edit) => schema.safeParse(edit).success && !textFault(edit),
  ) as fc.Arbitrary<Edit>
}

/** The same with nasty names wherever a text stands; whatever the schema says of it. */
export function anyNastyEditOf(type: EditTypeName, docs: SiteDocs): fc.Arbitrary<unknown> {
  const own = madeFromSite[type]?.(docs)
  if (own) return own instanceof fc.Arbitrary ? own : fc.constant(own)
  const { texts } = poolsOf(type, docs)
  const nasty = Object.entries(texts).map(([key, own]) => [
    key,
    [...nastyNames, ...own.slice(0, 3)],
  ])
  const pools: Pools = { texts: Object.fromEntries(nasty), places: [], orders: {} }
  return anyOf(editTable[type].schema as unknown as Schema, pools, 'name')
}
