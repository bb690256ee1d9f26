import { ternFrame } from '@demo/tern/frame'
import { demoSites } from '@demo/sites'
import { home } from '@demo/tern/home'
import wcagContrast from 'wcag-contrast'
import { toBytes, type Color } from '../color'
import { siteDocs, type Frame, type SiteElement } from '../site'
import { lowOnPage, type LowOnPage } from '.'

const tern = demoSites[0]!
const pictures = Object.values(tern.pictures)
const bytes = (color: Color) => [...toBytes(color)] as [number, number, number]

const find = (kind: string) =>
  Object.values(home.body.elements).find((element) => element.kind === kind)!

/** What is found on the home page of the demo with some looks on one of its elements, and a frame changed. */
function foundWith(
  kind: string,
  looks: Record<string, Record<string, unknown>>,
  frame: Frame = ternFrame,
): LowOnPage[] {
  const element = find(kind)
  const changed = { ...element, looks: { ...element.looks, ...looks } } as unknown as SiteElement
  const elements = { ...home.body.elements, [element.id]: changed }
  const docs = siteDocs(frame, [{ ...home, body: { ...home.body, elements } }], pictures)
  return lowOnPage(docs, home.id).low.filter((low) => low.element === element.id)
}

test('every figure is that of the reference library (wcag-contrast)', () => {
  const found = foundWith('mainButton', { label: { hover: { value: '#777777' } } })
  expect(found.length).toBeGreaterThan(0)
  for (const { color, ground, ratio, needs } of found) {
    expect(ratio).toBeLessThan(needs)
    expect(wcagContrast.rgb(bytes(color), bytes(ground))).toBeCloseTo(ratio, 2)
  }
})

test('what is set for hover counts, and says so', () => {
  const white = { value: '#ffffff' }
  expect(
    foundWith('mainButton', { fill: { hover: white }, label: { hover: white } }),
  ).toMatchObject([{ facet: 'label', state: 'hover', edition: 'light' }])
})

test('opacity counts', () => {
  const found = foundWith('mainButton', { opacity: { rest: 0.3 } })
  expect(found.map(({ facet, state }) => `${facet} ${state}`)).toContain('label rest')
})

test('a link colour that passes in the light edition and fails in the dark one is found there', () => {
  const { themes } = ternFrame
  const ink = Object.values(themes.byId).find(({ name }) => /ink/i.test(name))!
  const byId = Object.fromEntries(
    Object.entries(themes.byId).map(([id, theme]) => [id, { ...theme, dark: ink.roles }]),
  )
  const dark = { ...ternFrame, edition: 'visitor', themes: { ...themes, byId } } as Frame
  const found = foundWith('heading', { text: { rest: { value: '#222222' } } }, dark)
  expect(found.map(({ edition }) => edition)).toContain('dark')
})

test('an element style counts for what follows it', () => {
  const styles = {
    ...ternFrame.styles,
    heading: {
      id: 'heading',
      kind: 'heading',
      name: 'Headings',
      looks: { text: { rest: { value: '#f0e9da' } } },
    },
  }
  const id = Object.keys(ternFrame.styles).find((each) => each.startsWith('heading')) ?? 'heading-1'
  const base = (ternFrame.styles as Record<string, object>)[id]
  const frame = {
    ...ternFrame,
    styles: { ...styles, [id]: { ...base, looks: { text: { rest: { value: '#f0e9da' } } } } },
  } as unknown as Frame
  const docs = siteDocs(frame, [home], pictures)
  expect(
    lowOnPage(docs, home.id).low.filter(({ facet }) => facet === 'text').length,
  ).toBeGreaterThan(0)
})

test('a button that has the colour of its own background is found', () => {
  const docs = siteDocs(ternFrame, [home], pictures)
  const before = lowOnPage(docs, home.id).low.filter(({ facet }) => facet === 'fill')
  expect(before).toEqual([])
  const ground = { slot: 'paper' }
  const found = foundWith('mainButton', {
    fill: { rest: ground },
    line: { rest: ground },
    label: { rest: { slot: 'ink' } },
  })
  expect(found).toMatchObject([{ facet: 'fill', state: 'rest' }])
})

test('a border without a width tells no button from its background', () => {
  const fill = { rest: { slot: 'paper' } }
  const label = { rest: { slot: 'ink' } }
  const line = { rest: { slot: 'ink' } }
  expect(foundWith('mainButton', { fill, label, line, lineWidth: { rest: 2 } })).toEqual([])
  expect(foundWith('mainButton', { fill, label, line, lineWidth: { rest: 0 } })).toMatchObject([
    { facet: 'fill' },
  ])
})

test('text over a picture is counted, and not judged', () => {
  const section = Object.values(home.body.sections).find(({ children }) =>
    children.some((id) => home.body.elements[id]?.kind === 'heading'),
  )!
  const fill = { rest: { picture: pictures[0]!.id, under: { value: '#ffffff' }, fit: 'cover' } }
  const sections = {
    ...home.body.sections,
    [section.id]: { ...section, looks: { ...section.looks, fill } },
  }
  const page = { ...home, body: { ...home.body, sections } } as typeof home
  const { unmeasured, low } = lowOnPage(siteDocs(ternFrame, [page], pictures), home.id)
  expect(unmeasured).toBeGreaterThan(0)
  expect(low.filter((each) => each.section === section.id)).toEqual([])
})
