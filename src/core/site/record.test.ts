import fc from 'fast-check'
import { ternFrame } from '@demo/tern/frame'
import { home } from '@demo/tern/home'
import { demoSites } from '@demo/sites'
import { applyChanges, changesBetween, reversed } from '../changes'
import { canonicalJson, siteDocs } from './docs'
import { orderBetween, byOrder } from './page'
import {
  allRecordKinds,
  isUnreadable,
  readChanges,
  readRecord,
  recordAt,
  recordKinds,
  recordsOf,
  RecordUnreadable,
  withRecord,
} from './record'
import type { Stored } from './upgrade-steps'

const { studies: _none, edition: _light, palette, themes, settings, ...rest } = ternFrame
const withoutHand = Object.fromEntries(
  Object.entries(themes.byId).map(([id, { hand: _hand, ...theme }]) => [id, theme]),
)
type Elements = Readonly<Record<string, { readonly content: unknown }>>

/** A body as it was when headings and quotes held one plain text. */
function withPlainText(body: typeof home.body): Stored {
  const elements = Object.entries(body.elements as Elements).map(([id, element]) => {
    const { runs, ...content } = element.content as { runs?: Array<{ text: string }> }
    const isText = 'level' in content || 'source' in content
    return [id, isText ? { ...element, content: { ...content, text: runs![0]!.text } } : element]
  })
  return { ...body, elements: Object.fromEntries(elements) }
}

/** Things by id as they were when all that could be decided for one was its colours. */
function withColors(things: object): Stored {
  const each = Object.entries(things as Readonly<Record<string, Stored>>)
  return Object.fromEntries(
    each.map(([id, { looks, ...thing }]) => [id, looks ? { ...thing, colors: looks } : thing]),
  )
}

const colored = ({ sections, elements, ...body }: Stored): Stored => ({
  ...body,
  sections: withColors(sections as object),
  elements: withColors(elements as object),
})

/** The frame as the first version wrote it. */
const firstFrame: Stored = {
  ...rest,
  type: {
    heading: { family: settings.headingFace, weight: settings.headingWeight },
    body: { family: settings.bodyFace, weight: settings.bodyWeight },
    size: settings.textSize,
  },
  layout: {
    contentWidth: settings.contentWidth,
    sectionSpace: settings.sectionSpace,
    sideSpace: settings.sideSpace,
    buttonRadius: settings.buttonCorner,
    buttonLine: settings.buttonLine,
    buttonPad: [settings.buttonPad.block, settings.buttonPad.inline],
    cardRadius: settings.cardCorner,
    cardLine: settings.cardLine,
    pictureRadius: settings.pictureCorner,
    fieldRadius: settings.fieldCorner,
  },
  styles: withColors(ternFrame.styles),
  body: colored(ternFrame.body),
  schema: 1,
  palette: { order: palette.order, slots: palette.slots },
  themes: { ...themes, byId: withoutHand },
}
const { order: _order, ...unordered } = home
const firstPage: Stored = { ...unordered, schema: 1, body: colored(withPlainText(home.body)) }
const aHeading = Object.values(home.body.elements).find(({ kind }) => kind === 'heading')!.id

test('a frame of the first schema gains all that came later, and its headings keep their sizes', () => {
  const { styles, ...frame } = readRecord('frame', firstFrame)
  expect({ ...frame, styles: ternFrame.styles }).toEqual(ternFrame)
  const {
    'heading-1': title,
    'heading-2': middle,
    'heading-3': small,
    ...given
  } = styles as Record<string, unknown>
  expect(given).toEqual(ternFrame.styles)
  expect([title, middle, small]).toMatchObject([
    { looks: { size: { rest: { px: 64, narrow: 36.8 } } } },
    { looks: { size: { rest: { px: 36.8, narrow: 25.6 } } } },
    { looks: { size: { rest: { px: 20 } } } },
  ])
})

test('a page of the first schema gains a place in the order', () => {
  expect(readRecord('page', firstPage)).toEqual(home)
  expect(readRecord('page', { ...firstPage, order: 'a3' }).order).toBe('a3')
})

test('a frame of the second schema gains the usual shades and remembers its palette', () => {
  const read = readRecord('frame', { ...firstFrame, studies: [], schema: 2 })
  expect(read.palette.shades).toEqual({ lighter: 2, darker: 2, step: 8 })
  expect(read.palette.original.map(({ id }) => id)).toEqual(palette.order)
})

test('a record of a later version, or of none, is not guessed at', () => {
  for (const stored of [{ ...ternFrame, schema: 99 }, {}, null, { ...ternFrame, schema: 0 }]) {
    expect(() => readRecord('frame', stored)).toThrow(RecordUnreadable)
  }
  try {
    readRecord('page', { schema: recordKinds.page.version })
    throw new Error('was read')
  } catch (error) {
    expect(isUnreadable(error)).toBe(true)
  }
})

test.each(allRecordKinds)('every step to today’s version of a %s is there', (kind) => {
  const { steps, version } = recordKinds[kind]
  expect(Object.keys(steps).map(Number)).toEqual(
    Array.from({ length: version - 1 }, (_, i) => i + 1),
  )
})

/** A record as each version wrote it, by version. */
function versionsOf(kind: 'frame' | 'page', first: Stored): Map<number, Stored> {
  const all = new Map([[1, first]])
  for (let n = 1; n < recordKinds[kind].version; n += 1) {
    all.set(n + 1, { ...recordKinds[kind].steps[n]!.record(all.get(n)!), schema: n + 1 })
  }
  return all
}

type Alter = (record: never) => unknown
const frameAlterations: ReadonlyArray<readonly [string, Alter]> = [
  [
    'a slot’s value',
    (f: typeof ternFrame) => ({
      ...f,
      palette: {
        ...f.palette,
        slots: {
          ...f.palette.slots,
          brand: { ...f.palette.slots['brand' as never]!, value: '#123456' },
        },
      },
    }),
  ],
  [
    'custom CSS',
    (f: typeof ternFrame) => ({ ...f, customCss: `${f.customCss}\np { color: tan }` }),
  ],
  [
    'a theme’s role',
    (f: typeof ternFrame) => ({
      ...f,
      themes: {
        ...f.themes,
        byId: {
          ...f.themes.byId,
          'on-ink': { ...f.themes.byId['on-ink' as never]!, name: 'Night' },
        },
      },
    }),
  ],
  [
    'a theme that goes',
    (f: typeof ternFrame) => {
      const { 'on-ink': _gone, ...byId } = f.themes.byId as Record<string, unknown>
      return {
        ...f,
        themes: { order: f.themes.order.filter((id) => (id as string) !== 'on-ink'), byId },
      }
    },
  ],
  [
    'a colour of an element style',
    ({ styles, ...f }: typeof ternFrame) => {
      const isColored = (f.schema as number) < 7
      const looks = { line: { rest: { value: '#123456' } } }
      const booking = { ...styles['booking' as never]!, [isColored ? 'colors' : 'looks']: looks }
      return { ...f, styles: { ...styles, booking } }
    },
  ],
  [
    'an element style that goes',
    ({ styles, ...f }: typeof ternFrame) => {
      const { booking: _gone, ...others } = styles as Record<string, unknown>
      return { ...f, styles: others }
    },
  ],
  [
    'an order',
    (f: typeof ternFrame) => ({
      ...f,
      palette: { ...f.palette, order: [...f.palette.order].reverse() },
    }),
  ],
]
const pageAlterations: ReadonlyArray<readonly [string, Alter]> = [
  ['a title', (p: typeof home) => ({ ...p, title: 'Start' })],
  ['a page that comes', () => undefined],
  [
    'an element that goes',
    ({ body, ...page }: typeof home) => {
      const { [aHeading]: _gone, ...elements } = body.elements
      return { ...page, body: { ...body, elements } }
    },
  ],
  [
    'all elements that go',
    ({ body, ...page }: typeof home) => ({ ...page, body: { ...body, elements: {} } }),
  ],
  [
    'a colour of a heading',
    ({ body, ...page }: typeof home) => {
      const isColored = (page.schema as number) < 8
      const heading = {
        ...body.elements[aHeading]!,
        [isColored ? 'colors' : 'looks']: { text: { rest: { value: '#123456' } } },
      }
      return { ...page, body: { ...body, elements: { ...body.elements, [aHeading]: heading } } }
    },
  ],
]

/** A palette remembers how it was when it came to its third shape, whichever change is gone back: that is left out. */
const textOf = (record: unknown) =>
  canonicalJson(record ?? null).replace(/"original":\[.*?\],"shades"/, '"shades"')

/** Whether an old change, carried to today, leads where the old states lead when they are read today. */
function holds(kind: 'frame' | 'page', version: number, before: Stored | undefined, after: Stored) {
  const changes = changesBetween(before, after)
  expect(changes.length).toBeGreaterThan(0)
  const carried = readChanges(kind, version, changes)
  // A change that cannot be carried closes undo; nothing is guessed.
  if (!carried) return 'closed'
  const [then, now] = [before && readRecord(kind, before), readRecord(kind, after)]
  expect(textOf(applyChanges(then, carried))).toBe(textOf(now))
  expect(textOf(applyChanges(now, reversed(carried)))).toBe(textOf(then))
  return 'carried'
}

test.each(frameAlterations)(
  'old history, new schema: %s of a frame, from every version',
  (_, alter) => {
    for (const [version, stored] of versionsOf('frame', firstFrame)) {
      expect(holds('frame', version, stored, alter(stored as never) as Stored)).toBe('carried')
    }
  },
)

test.each(pageAlterations)(
  'old history, new schema: %s of a page, from every version',
  (_, alter) => {
    for (const [version, stored] of versionsOf('page', firstPage)) {
      const other = alter(stored as never) as Stored | undefined
      expect(
        other ? holds('page', version, stored, other) : holds('page', version, undefined, stored),
      ).toBe('carried')
    }
  },
)

test('any run of changes in any old shape is carried to the same, or closes', () => {
  const paths = versionsOf('frame', firstFrame)
  fc.assert(
    fc.property(
      fc.constantFrom(...paths.keys()),
      fc.subarray([...frameAlterations], { minLength: 1 }),
      (version, alterations) => {
        const stored = paths.get(version)!
        const after = alterations.reduce((now, [, alter]) => alter(now as never) as Stored, stored)
        expect(['carried', 'closed']).toContain(holds('frame', version, stored, after))
      },
    ),
    { numRuns: 120 },
  )
})

test('words of a heading that were changed as one text cannot be carried over; a snippet’s can', () => {
  const at = (...rest: string[]) => ['body', 'elements', aHeading, 'content', ...rest]
  expect(readChanges('page', 5, [{ path: at('text'), from: 'a', to: 'b' }])).toBeUndefined()
  expect(readChanges('page', 5, [{ path: at('text'), at: 0, out: 'a', in: 'b' }])).toBeUndefined()
  const snippet = [{ path: at('html'), at: 3, out: 'a', in: 'b' }]
  expect(readChanges('page', 5, snippet)).toEqual(snippet)
})

test('a whole palette of a shape that has no memory of the design cannot be carried over', () => {
  const change = { path: ['palette'], from: {}, to: {} }
  expect(readChanges('frame', 2, [change])).toBeUndefined()
  expect(readChanges('frame', 3, [change])).toEqual([change])
})

test('records are found, put and taken away by their names', () => {
  const { frame, pages, pictures } = demoSites[0]!
  const docs = siteDocs(frame, pages, pictures)
  expect(recordsOf(docs)).toHaveLength(1 + pages.length + pictures.length)
  const ref = { kind: 'picture', id: 'logo' } as const
  const without = withRecord(docs, ref, undefined)
  expect(recordAt(without, ref)).toBeUndefined()
  expect(withRecord(without, ref, recordAt(docs, ref))).toEqual(docs)
  expect(recordAt(docs, { kind: 'page', id: 'constructor' })).toBeUndefined()
})

test('between any two places of the order there is another', () => {
  fc.assert(
    fc.property(fc.array(fc.nat(), { maxLength: 200 }), (moves) => {
      const keys: string[] = []
      for (const move of moves) {
        const at = move % (keys.length + 1)
        keys.splice(at, 0, orderBetween(keys[at - 1] ?? null, keys[at] ?? null))
      }
      const ids = keys.map((order, i) => ({ order, id: `p-${i}` as never }))
      expect([...ids].sort(byOrder)).toEqual(ids)
      expect(new Set(keys).size).toBe(keys.length)
    }),
  )
  expect(() => orderBetween('a2', 'a1')).toThrow(RangeError)
})

test('a picture or font of an earlier schema gets the ending of what it is, and keeps a right one', () => {
  const file = 'a'.repeat(64)
  const given = { file, width: 1, height: 1, alt: '' }
  const picture = (fileName: string, mediaType: string) =>
    readRecord('picture', { schema: 3, id: 'offer', fileName, mediaType, ...given }).fileName
  expect(picture('offer.html', 'image/png')).toBe('offer.html.png')
  expect(picture('site.css', 'image/svg+xml')).toBe('site.css.svg')
  expect(picture('shop.JPEG', 'image/jpeg')).toBe('shop.JPEG')
  const weights = [400, 400]
  const font = { schema: 2, id: 'own', file, family: 'Own', style: 'normal', weights, license: '' }
  expect(readRecord('font', { ...font, fileName: 'own.html' }).fileName).toBe('own.html.woff2')
  expect(readRecord('font', { ...font, fileName: 'own.woff2' }).fileName).toBe('own.woff2')
})

test('the history of a picture follows its ending, and is closed where that cannot be told', () => {
  const whole = { schema: 3, id: 'offer', fileName: 'offer.html', mediaType: 'image/png' }
  expect(readChanges('picture', 3, [{ path: [], to: whole }])).toMatchObject([
    { path: [], to: { fileName: 'offer.html.png' } },
  ])
  const named = (from: string, to: string) =>
    readChanges('picture', 3, [{ path: ['fileName'], from, to }])
  expect(named('a.png', 'a.jpg')).toHaveLength(1)
  expect(named('a.png', 'a.html')).toBeUndefined()
})
