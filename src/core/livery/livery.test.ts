import { demoSites } from '@demo/sites'
import fc from 'fast-check'
import { designs, designSite } from '../designs/ready'
import { applyEdit, changedDocs, inverseOf, type Edit } from '../edit'
import { decisionColor, failingRoles } from '../resolve'
import { siteFonts } from '../render'
import { anyLooking } from '../site/any-looks.fixture'
import {
  canonicalJson,
  isBound,
  isWholeRecord,
  mostSlots,
  siteDocs,
  slotSchema,
  themesInOrder,
  type Frame,
  type SiteDocs,
} from '../site'
import { clearLivery } from './clear'
import { fitLivery } from './fit'
import { liveryOf, liveryParts, type Livery, type LiveryPart } from './livery'

const families = new Set(siteFonts.map(({ family }) => family))
const sites: ReadonlyArray<readonly [string, SiteDocs]> = [
  ...demoSites.map(
    ({ frame, pages, pictures }) => [frame.name, siteDocs(frame, pages, pictures)] as const,
  ),
  ...designs.map((design) => [design.id, designSite(design, design.id).docs] as const),
]
const [, tern] = sites[0]!
const all: readonly LiveryPart[] = liveryParts
const of = ({ frame, pictures }: SiteDocs) => liveryOf(frame, pictures)

const taken = (docs: SiteDocs, livery: Livery, parts = all) =>
  applyEdit(docs, { type: 'takeLivery', name: 'Other', livery, parts: [...parts] } as Edit)

/** All that pages and custom CSS can name of the frame. */
const named = ({ palette, themes, styles }: Frame) => ({
  slots: palette.order,
  themes: themes.order,
  styles: Object.keys(styles).filter((id) => !styles[id as never]!.looks || id in styles),
})

const failing = ({ palette, themes }: Frame) => failingRoles(palette, themesInOrder(themes)).length

/** Slots that something of the frame refers to and that are not there. */
function dangling(frame: Frame): string[] {
  const found = canonicalJson([frame.themes.byId, frame.styles]).matchAll(/"slot":"([^"]+)"/g)
  return [...new Set([...found].map(([, id]) => id!))].filter((id) => !(id in frame.palette.slots))
}

describe('every site in the livery of every other one', () => {
  test.each(sites)('%s', (_, docs) => {
    for (const [from, other] of sites) {
      const livery = of(other)
      const result = taken(docs, livery)
      if (!result.ok) throw new Error(result.problem)
      const { frame, pages } = result.docs
      expect(isWholeRecord('frame', frame)).toBe(true)
      expect(pages).toBe(docs.pages)
      expect([frame.body, frame.customCss, frame.addOns, frame.name]).toEqual([
        docs.frame.body,
        docs.frame.customCss,
        docs.frame.addOns,
        docs.frame.name,
      ])
      const [before, after] = [named(docs.frame), named(frame)]
      expect(after.slots).toEqual(expect.arrayContaining([...before.slots]))
      expect(after.themes.slice(0, before.themes.length)).toEqual(before.themes)
      expect(dangling(frame)).toEqual([])
      expect(frame.settings).toEqual(livery.settings)
      // What reads there reads here: the same colours meet.
      if (failing(other.frame) === 0) expect([from, failing(frame)]).toEqual([from, 0])
      // Every theme is, to the colour, one of the livery's.
      const colors = (site: Frame | Livery, roles: Frame['themes']['byId'][never]['roles']) =>
        Object.values(roles).map((each) => canonicalJson(decisionColor(site.palette, each)))
      const known = themesInOrder(livery.themes).map(({ roles }) => colors(livery, roles).join())
      for (const { roles } of themesInOrder(frame.themes)) {
        expect(known).toContain(colors(frame, roles).join())
      }
    }
  })

  test('and back by undo, to the letter', () => {
    for (const [, other] of sites) {
      const result = taken(tern, of(other))
      if (!result.ok) throw new Error(result.problem)
      const back = changedDocs(result.docs, inverseOf(result.changes))!
      expect(canonicalJson(back.frame)).toBe(canonicalJson(tern.frame))
    }
  })
})

test('a site in its own livery is as it was', () => {
  for (const [, docs] of sites) {
    const result = taken(docs, of(docs))
    if (!result.ok) throw new Error(result.problem)
    expect(result.changes).toEqual([])
  }
})

test('what does the same takes the place of what did: whatever refers to the slot of the buttons has the colour of theirs', () => {
  for (const [id, other] of sites) {
    const livery = of(other)
    const { frame } = fitLivery(tern.frame, livery, all)
    const role = (site: Frame | Livery) => themesInOrder(site.themes)[0]!.roles.buttonFill
    const before = role(tern.frame)
    const slot = isBound(before) ? frame.palette.slots[before.slot]!.value : ''
    const theirs = themesInOrder(livery.themes).map(({ roles: { buttonFill } }) =>
      isBound(buttonFill) ? livery.palette.slots[buttonFill.slot]!.value : '',
    )
    expect([id, theirs]).toEqual([id, expect.arrayContaining([slot])])
  }
})

test.each(all)('%s alone leaves all else as it was', (part) => {
  const members: Record<LiveryPart, readonly (keyof Frame)[]> = {
    palette: ['palette'],
    themes: ['themes'],
    styles: ['styles'],
    shapes: ['settings'],
    type: ['settings'],
  }
  for (const [, other] of sites) {
    const { frame } = fitLivery(tern.frame, of(other), [part])
    const changed = (Object.keys(frame) as (keyof Frame)[]).filter(
      (key) => canonicalJson(frame[key]) !== canonicalJson(tern.frame[key]),
    )
    expect(members[part]).toEqual(expect.arrayContaining(changed))
    expect(dangling(frame)).toEqual([])
  }
})

test('buttons of another form keep it or leave it as the parts say, and read in either', () => {
  const [, other] = sites.find(([id]) => id === 'green-crate')!
  const livery = of(other)
  const outlined = { ...livery, settings: { ...livery.settings, buttonForm: 'outline' as const } }
  for (const parts of [['shapes'], ['themes', 'palette'], all] as const) {
    const { frame } = fitLivery(tern.frame, outlined, parts)
    const isTaken = parts.some((part) => part === 'shapes')
    expect(frame.settings.buttonForm).toBe(isTaken ? 'outline' : 'solid')
    if (!parts.includes('palette' as never)) continue
    expect(failing(frame)).toBe(0)
  }
})

test('a dark edition is made where the site has one and the livery none', () => {
  const dark = { ...tern.frame, edition: 'visitor' as const }
  const [, other] = sites.find(([id]) => id === 'still-water')!
  const { frame } = fitLivery(dark, of(other), all)
  expect(themesInOrder(frame.themes).every((theme) => theme.dark)).toBe(true)
  expect(frame.edition).toBe('visitor')
})

test('what cannot follow is told: typefaces that are not there, pictures by their files', () => {
  const livery = of(tern)
  const styles = {
    promise: {
      id: 'promise',
      name: 'Promise',
      kind: 'card',
      looks: {
        ground: { rest: { picture: 'meadow', under: { value: '#fff' } } },
        corner: { rest: 9 },
      },
    },
  }
  const asked = {
    ...livery,
    styles,
    files: { meadow: 'a'.repeat(64) },
    settings: { ...livery.settings, headingFace: 'Own Grotesk', headingWeight: 777 },
  } as unknown as Livery
  const stock = { settings: tern.frame.settings, pictures: {}, families }
  const cleared = clearLivery(asked, stock)
  expect(cleared.lacks).toEqual([
    { what: 'typeface', family: 'Own Grotesk', stays: tern.frame.settings.headingFace },
    { what: 'picture', style: 'Promise', count: 1 },
  ])
  expect(cleared.livery.settings.headingWeight).toBe(tern.frame.settings.headingWeight)
  expect(Object.values(cleared.livery.styles)[0]!.looks).toEqual({ corner: { rest: 9 } })
  // The same file under another name is the same picture.
  const here = { moor: { id: 'moor', file: 'a'.repeat(64) } } as never
  const kept = clearLivery(asked, {
    ...stock,
    pictures: here,
    families: new Set([...families, 'Own Grotesk']),
  })
  expect(kept.lacks).toEqual([])
  expect(Object.values(kept.livery.styles)[0]!.looks.ground!.rest).toMatchObject({
    picture: 'moor',
  })
})

test('own styles take the looks of the one of the same name and kind; others stay, and are told', () => {
  const style = (id: string, name: string, corner: number) => ({
    [id]: { id, name, kind: 'card', looks: { corner: { rest: corner } } },
  })
  const mine = { ...tern.frame, styles: { ...style('a', 'Offer', 1), ...style('b', 'Mine', 2) } }
  const theirs = { ...of(tern), styles: { ...style('b', 'offer', 8), ...style('a', 'New', 9) } }
  const { frame, staying } = fitLivery(mine as never, theirs as never, ['styles'])
  expect(staying.styles).toEqual(['Mine'])
  const corners = Object.values(frame.styles).map(({ id, name, looks }) => [
    id,
    name,
    looks.corner?.rest,
  ])
  expect(corners.sort()).toEqual([
    ['a', 'offer', 8],
    ['b', 'Mine', 2],
    ['new', 'New', 9],
  ])
})

test('a palette that is full takes what it can, says what not, and loses no colour', () => {
  const slots = Array.from({ length: mostSlots }, (_, i) =>
    slotSchema.parse({ id: `own-${i}`, name: `Own ${i}`, value: '#808080', was: [] }),
  )
  const full = {
    ...tern.frame,
    palette: {
      ...tern.frame.palette,
      order: slots.map(({ id }) => id),
      slots: Object.fromEntries(slots.map((slot) => [slot.id, slot])),
    },
  } as Frame
  const { frame, without } = fitLivery(full, of(tern), all)
  expect(frame.palette.order).toHaveLength(mostSlots)
  expect(without.length).toBeGreaterThan(0)
  expect(failing(frame)).toBe(failing(tern.frame))
  expect(dangling(frame)).toEqual([])
})

test('what cannot be a livery is refused: no theme, a style that inherits from itself', () => {
  const livery = of(tern)
  const none = { ...livery, themes: { order: ['gone'], byId: {} } } as unknown as Livery
  expect(taken(tern, none)).toMatchObject({ ok: false, problem: 'theme-gone' })
  const circle = (id: string, parent: string) => ({ id, name: id, kind: 'card', parent, looks: {} })
  const round = { ...livery, styles: { a: circle('a', 'b'), b: circle('b', 'a') } }
  expect(taken(tern, round as unknown as Livery)).toMatchObject({
    ok: false,
    problem: 'style-circle',
  })
})

test('any looks whatever: nothing hangs in the air, pages are left alone, undo is exact', () => {
  const seed = 20261128
  fc.assert(
    fc.property(
      anyLooking(tern),
      anyLooking(sites[3]![1]),
      fc.subarray([...all], { minLength: 1 }),
      (one, two, parts) => {
        const result = taken(one, of(two), parts)
        if (!result.ok) throw new Error(result.problem)
        expect(isWholeRecord('frame', result.docs.frame)).toBe(true)
        expect(dangling(result.docs.frame)).toEqual([])
        const back = changedDocs(result.docs, inverseOf(result.changes))!
        expect(canonicalJson(back.frame)).toBe(canonicalJson(one.frame))
      },
    ),
    { numRuns: 25, seed },
  )
})
