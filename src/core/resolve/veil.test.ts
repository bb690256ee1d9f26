import fc from 'fast-check'
import wcagContrast from 'wcag-contrast'
import { demoSites } from '@demo/sites'
import { fromBytes, toBytes, type Color } from '../color'
import { darkEdition } from '../generate'
import { roles } from '../roles'
import {
  siteDocs,
  themesInOrder,
  type Frame,
  type PageId,
  type Paint,
  type SiteDocs,
  type ThemeId,
} from '../site'
import { decisionColor } from './decision'
import { spotsOnPage, type Spot } from './spot'
import { coloredIn, facetRole, traceFacet } from './trace'
import { veilOf } from './veil'

const tern = demoSites[0]!
const home = tern.pages[0]!

/** The header over a fill of the first section, in a theme. */
function headerOver(fill: Paint, theme: ThemeId, frame: Frame = tern.frame): Spot {
  const first = home.body.order[0]!
  const section = { ...home.body.sections[first]!, theme, looks: { fill: { rest: fill } } }
  const body = { ...home.body, sections: { ...home.body.sections, [first]: section } }
  const docs: SiteDocs = siteDocs(frame, [{ ...home, body }])
  return spotsOnPage(docs, home.id as PageId)[0]!
}

/** Colours of words and lines in the header that stand right on its ground, with what they need. */
function marks(spot: Spot): Array<{ readonly color: Color; readonly needs: number }> {
  return coloredIn(spot).flatMap(({ element, facet }) => {
    const { needs } = roles[facetRole(facet, element)]
    if (!element || !needs || facet.paints === 'fill' || facet.on) return []
    return (['rest', 'hover'] as const).flatMap((state) => {
      const { color } = traceFacet(spot, element, facet, state)
      return color ? [{ color, needs }] : []
    })
  })
}

/** Composited by hand, in the bytes that a screen shows; contrast by the reference library. */
function worst(spot: Spot, below: Color, veil: number, read = marks(spot)): number {
  const ground = decisionColor(spot.docs.frame.palette, spot.theme.roles.ground)
  const [top, under] = [toBytes(ground), toBytes(below)]
  const seen = top.map((byte, i) => Math.round(byte * veil + under[i]! * (1 - veil)))
  return Math.min(
    ...read.map(({ color, needs }) => wcagContrast.rgb([...toBytes(color)], seen as Bytes) / needs),
  )
}

type Bytes = [number, number, number]

const slot = fc.constantFrom(...tern.frame.palette.order)
const theme = fc.constantFrom(...tern.frame.themes.order)
// Bytes are rounded, colours are not.
const ROUNDING = 0.99

test('every colour of any gradient lets the header be read, and less veil would not', () => {
  fc.assert(
    fc.property(slot, slot, theme, (from, to, id) => {
      const stops = [
        { at: 0, color: { slot: from } },
        { at: 100, color: { slot: to } },
      ]
      const spot = headerOver({ gradient: 'linear', angle: 90, stops }, id)
      const ends = stops.map(({ color }) => toBytes(decisionColor(spot.docs.frame.palette, color)))
      const all = Array.from({ length: 101 }, (_, i) => {
        const bytes = ends[0]!.map((byte, k) =>
          Math.round(byte + ((ends[1]![k]! - byte) * i) / 100),
        )
        return fromBytes(bytes as Bytes)
      })
      const veil = veilOf(spot)
      const read = marks(spot)
      for (const below of all) expect(worst(spot, below, veil, read)).toBeGreaterThan(ROUNDING)
      if (veil > 0) {
        const less = Math.min(...all.map((below) => worst(spot, below, veil - 0.01, read)))
        expect(less).toBeLessThan(1 / ROUNDING)
      }
    }),
  )
})

test('whatever a picture shows, the header can be read on it', () => {
  const byte = fc.nat(255)
  fc.assert(
    fc.property(theme, byte, byte, byte, (id, r, g, b) => {
      const spot = headerOver({ picture: 'any' as never, under: { slot: 'paper' as never } }, id)
      expect(worst(spot, fromBytes([r, g, b]), veilOf(spot))).toBeGreaterThan(ROUNDING)
    }),
  )
})

test('in both editions where the site has two', () => {
  const dark = darkEdition(tern.frame)
  const byId = Object.fromEntries(
    themesInOrder(tern.frame.themes).map((each) => [each.id, { ...each, dark: dark[each.id]! }]),
  )
  const themes = { ...tern.frame.themes, byId }
  const stops = [
    { at: 0, color: { value: '#ffffff' } },
    { at: 100, color: { value: '#f4f4f4' } },
  ]
  const fill: Paint = { gradient: 'linear', angle: 0, stops }
  const paper = 'on-paper' as ThemeId
  expect(veilOf(headerOver(fill, paper, { ...tern.frame, themes }))).toBe(0)
  const both = headerOver(fill, paper, { ...tern.frame, themes, edition: 'visitor' })
  expect(veilOf(both)).toBeGreaterThan(0.5)
  const after = { ...both, theme: { ...both.theme, roles: both.theme.dark! } }
  expect(worst(after, fromBytes([255, 255, 255]), veilOf(both))).toBeGreaterThan(ROUNDING)
})

test('no veil where nothing lies under the header, and none that hides all for one colour that fails anyway', () => {
  expect(veilOf(headerOver({ slot: 'mist' as never }, 'on-paper' as ThemeId))).toBe(0)
  const spot = headerOver(
    {
      gradient: 'linear',
      angle: 0,
      stops: [
        { at: 0, color: { slot: 'paper' as never } },
        { at: 100, color: { slot: 'mist' as never } },
      ],
    },
    'on-paper' as ThemeId,
  )
  const header = spot.section
  const [first] = Object.values(spot.docs.frame.body.elements).filter(
    ({ kind }) => kind === 'navigation',
  )
  const faint = {
    ...first!,
    looks: { link: { rest: { value: '#eeeeee' } }, text: { rest: { value: '#eeeeee' } } },
  }
  const elements = { ...spot.docs.frame.body.elements, [first!.id]: faint }
  const frame = { ...spot.docs.frame, body: { ...spot.docs.frame.body, elements } }
  expect(header.kind).toBe('header')
  expect(veilOf({ ...spot, docs: { ...spot.docs, frame } })).toBeLessThan(0.5)
})

test('it is looked for anew when what it was found for changes, and then alone', () => {
  const stops = [
    { color: { value: '#888888' }, at: 0 },
    { color: { value: '#777777' }, at: 100 },
  ]
  const fill: Paint = { gradient: 'linear', angle: 90, stops }
  const before = headerOver(fill, themesInOrder(tern.frame.themes)[0]!.id)
  const veil = veilOf(before)
  expect(veil).toBeGreaterThan(0)
  const { frame } = before.docs
  const { slots } = frame.palette
  const dark = Object.fromEntries(
    Object.entries(slots).map(([id, slot]) => [id, { ...slot, value: '#777777' }]),
  )
  const greyed = { ...frame, palette: { ...frame.palette, slots: dark } } as Frame
  const after = { ...before, docs: { ...before.docs, frame: greyed } }
  // Nothing in it can be read on the ground itself, so nothing asks for more of it.
  expect(veilOf(after)).toBe(0)
  expect(veilOf(before)).toBe(veil)
  expect(
    veilOf({ ...before, docs: { ...before.docs, frame: { ...frame, customCss: 'a{}' } } }),
  ).toBe(veil)
})
