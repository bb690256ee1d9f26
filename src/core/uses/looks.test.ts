import { demoSites } from '@demo/sites'
import fc from 'fast-check'
import { applyEdit } from '../edit'
import { anyEditOf, type EditTypeName } from '../edit/any-edit.fixture'
import { shownFacets, spotsOnPage, traceFacet } from '../resolve'
import {
  siteDocs,
  bodyOf,
  walkSection,
  type PageId,
  type SiteDocs,
  type SiteElement,
} from '../site'
import { bandsOf } from './bands'
import {
  changedByStyle,
  countLooks,
  lookChanges,
  looksOf,
  mergeLooks,
  reachOf,
  type CountedLook,
} from './looks'

const site = demoSites[0]!
const docs: SiteDocs = siteDocs(site.frame, site.pages)

/** The same counts without looks: every element of every page, header and footer once. */
function countedOneByOne(): { slots: Record<string, number>; roles: Record<string, number> } {
  const slots: Record<string, number> = {}
  const roles: Record<string, number> = {}
  const add = (spot: ReturnType<typeof spotsOnPage>[number], element?: SiteElement) => {
    for (const facet of shownFacets(element)) {
      for (const state of ['rest', 'hover'] as const) {
        const trace = traceFacet(spot, element, facet, state)
        const decider = trace.chain[trace.decidedBy]!
        if (decider.state !== state) continue
        const bound = [...JSON.stringify(trace.paint).matchAll(/"slot":"([^"]+)"/g)]
        for (const slot of new Set(bound.map(([, id]) => id!))) {
          if (trace.shade?.alpha !== -100) slots[slot] = (slots[slot] ?? 0) + 1
        }
        if (decider.at === 'theme') {
          const key = `${decider.theme}/${decider.role}`
          roles[key] = (roles[key] ?? 0) + 1
        }
      }
    }
  }
  const pages = Object.keys(docs.pages) as PageId[]
  pages.forEach((page, i) => {
    for (const spot of spotsOnPage(docs, page)) {
      if (spot.doc === 'frame' && i > 0) continue
      add(spot)
      walkSection(bodyOf(docs, spot.doc)!, spot.section, (element) => add(spot, element))
    }
  })
  return { slots, roles }
}

const looks = [site.frame, ...site.pages].map(({ body }) => looksOf(body))

test('a slot that only tints a picture is used', () => {
  const slot = { ...Object.values(docs.frame.palette.slots)[0]!, id: 'veil' }
  const { palette } = docs.frame
  const slots = { ...palette.slots, veil: slot }
  const frame = { ...docs.frame, palette: { ...palette, slots } } as unknown as SiteDocs['frame']
  const picture = { picture: 'bench', under: { value: '#ffffff' }, tint: { slot: 'veil' } }
  const section = { theme: 'on-paper', kind: 'section', fill: picture, count: 3 } as never
  expect(reachOf(frame, [section]).slots['veil']).toBe(3)
  const clear = { ...picture, tint: { slot: 'veil', shade: { alpha: -100 } } }
  expect(
    reachOf(frame, [{ ...(section as object), fill: clear } as never]).slots,
  ).not.toHaveProperty('veil')
})

test.each(['fill', 'label', 'line'])(
  'a style changes as many %s colours as it says, and no others',
  (key) => {
    // One button decides for itself, so the style does not reach it.
    const page = docs.pages['home' as PageId]!
    const button = Object.values(page.body.elements).find(({ kind }) => kind === 'mainButton')!
    const own = {
      type: 'setLooks',
      settings: [
        { on: { doc: 'home', element: button.id }, key, state: 'rest', value: { slot: 'ink' } },
      ],
    }
    const set = (style: string, value: object) => ({
      type: 'setLooks',
      settings: [{ on: { style }, key, state: 'rest', value }],
    })
    const done = (on: SiteDocs, edit: object) => {
      const result = applyEdit(on, edit as never)
      if (!result.ok) throw new Error(result.problem)
      return result.docs
    }
    const before = done(docs, own)
    const after = done(before, set('main-button', { value: '#123456' }))
    const colors = (on: SiteDocs) =>
      (Object.keys(on.pages) as PageId[]).flatMap((id, i) =>
        spotsOnPage(on, id).flatMap((spot) => {
          if (spot.doc === 'frame' && i > 0) return []
          const found: string[] = []
          walkSection(bodyOf(on, spot.doc)!, spot.section, (element) => {
            const facet = shownFacets(element).find((each) => each.key === key)
            if (element.kind !== 'mainButton' || !facet) return
            found.push(JSON.stringify(traceFacet(spot, element, facet, 'rest').paint))
          })
          return found
        }),
      )
    const [was, is] = [colors(before), colors(after)]
    const changed = was.filter((paint, i) => paint !== is[i]).length
    const all = mergeLooks(
      looksOf(before.frame.body),
      ...Object.values(before.pages).map(({ body }) => looksOf(body)),
    )
    const asked = { style: 'main-button', kind: 'mainButton', key, state: 'rest' } as const
    expect(changed).toBeGreaterThan(0)
    expect(changed).toBeLessThan(was.length)
    expect(changedByStyle(before.frame, all, asked)).toBe(changed)
  },
)

test('counts from looks alone are the counts of every element', () => {
  const { slots, roles } = reachOf(docs.frame, mergeLooks(...looks))
  expect({ slots, roles }).toEqual(countedOneByOne())
  expect(slots.spark).toBeGreaterThan(20)
})

test('elements that are coloured alike are one look', () => {
  const home = looksOf(site.pages[0]!.body)
  const bands = bandsOf(site.pages[0]!.body)
  const elements = Object.keys(site.pages[0]!.body.elements).length
  expect(home.length).toBeLessThan(elements * 0.75)
  expect(home.reduce((sum, { count }) => sum + count, 0)).toBe(elements + bands.length)
})

test('what colour a slot has does not matter to its reach; it may even be empty', () => {
  const { palette } = docs.frame
  const slots = Object.values(palette.slots).map((slot, i) => {
    const value = i % 3 === 0 ? null : `oklch(${40 + (i % 5) * 10}% 0.1 ${i * 40})`
    return [slot.id, { ...slot, value }] as const
  })
  const other = { ...docs.frame, palette: { ...palette, slots: Object.fromEntries(slots) } }
  const all = mergeLooks(...looks)
  expect(reachOf(other, all)).toEqual(reachOf(docs.frame, all))
})

test('elements by the style they take', () => {
  const { styles } = reachOf(docs.frame, looks.slice(1).flat())
  // One ticket is a sale ticket too, which inherits from it.
  expect(styles).toMatchObject({ booking: 2, sale: 2, ticket: 3 })
  expect(styles).toMatchObject({ 'heading-1': expect.any(Number), card: expect.any(Number) })
})

test('what is taken away from a sum of looks leaves the others', () => {
  const [frame, home, ...rest] = looks
  const taken = home!.map((look) => ({ ...look, count: -look.count }))
  const left = mergeLooks(mergeLooks(...looks), taken)
  expect(new Set(left)).toEqual(new Set(mergeLooks(frame!, ...rest)))
})

test('what changed of the looks is told by what changed of the body', () => {
  const counted = (...lists: ReadonlyArray<readonly CountedLook[]>) => {
    const counts = new Map<string, number>()
    for (const { key, count } of lists.flat()) counts.set(key, (counts.get(key) ?? 0) + count)
    return new Map([...counts].filter(([, count]) => count !== 0))
  }
  const kinds: EditTypeName[] = [
    ...(['setSectionTheme', 'setSection', 'addSection', 'moveSection', 'removeSection'] as const),
    ...(['setContent', 'addElements', 'moveElement', 'removeElement', 'wrapElement'] as const),
    ...(['setLooks', 'giveStyle'] as const),
  ]
  const anyEdit = fc.oneof(...kinds.map((type) => anyEditOf(type, docs)))
  const edits = fc.array(anyEdit, { minLength: 1, maxLength: 6 })
  fc.assert(
    fc.property(edits, (made) => {
      const before = docs
      const after = made.reduce((now, edit) => {
        const result = applyEdit(now, edit)
        return result.ok ? result.docs : now
      }, before)
      for (const [id, page] of Object.entries(after.pages)) {
        const was = before.pages[id as PageId]
        const changes = lookChanges(was?.body, page.body)
        expect(counted(was ? countLooks(was.body) : [], changes)).toEqual(
          counted(countLooks(page.body)),
        )
      }
    }),
    { seed: 20261128, numRuns: 100 },
  )
})
