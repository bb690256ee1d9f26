import wcagContrast from 'wcag-contrast'
import { demoSites } from '@demo/sites'
import { over, toBytes, type Color } from '../color'
import { coloredIn, facetsOf, groundsUnder, spotsOnPage, traceFacet, type Spot } from '../resolve'
import {
  siteDocs,
  type ColorDecision,
  type DocId,
  type SectionId,
  type SiteDocs,
  type SiteElement,
} from '../site'
import { afterDark, darkEdition } from './dark-edition'
import { editedDocs } from './frames.fixture'
import { remedyFor } from './remedy'

const [tern] = demoSites
const start: SiteDocs = siteDocs(tern!.frame, tern!.pages)
const home = tern!.pages[0]!
const spotIn = (docs: SiteDocs, section = 'newsletter'): Spot =>
  spotsOnPage(docs, home.id).find(({ section: { id } }) => id === (section as SectionId))!
/** The first heading of that section. */
const heading = coloredIn(spotIn(start)).find(
  ({ element }) => element?.kind === 'heading',
)!.element!
const facetOf = (element: SiteElement) => facetsOf(element)[0]!
const elementIn = (docs: SiteDocs) => docs.pages[home.id]!.body.elements[heading.id]!
const own = (paint: ColorDecision) => ({
  type: 'setLooks',
  settings: [
    {
      on: { doc: home.id as DocId, element: heading.id },
      key: facetOf(heading).key,
      state: 'rest',
      value: paint,
    },
  ],
})
const setFill = (paint: unknown) => ({
  type: 'setLooks',
  settings: [
    { on: { doc: home.id, section: 'newsletter' }, key: 'fill', state: 'rest', value: paint },
  ],
})
const setHeading = (decision: unknown) => ({
  type: 'setRole',
  themes: ['on-ink'],
  role: 'heading',
  decision,
})
const remedyIn = (docs: SiteDocs, ...others: SiteDocs[]) =>
  remedyFor(
    [spotIn(docs), ...others.map((each) => spotIn(each))],
    elementIn(docs),
    facetOf(heading),
    'rest',
  )

/** The lowest contrast by the reference library (wcag-contrast), over all that lies under the heading. */
function lowest(color: Color, ...editions: SiteDocs[]): number {
  const grounds = editions.flatMap((docs) => {
    const trace = traceFacet(spotIn(docs), elementIn(docs), facetOf(heading), 'rest')
    return groundsUnder(spotIn(docs), elementIn(docs), trace)
  })
  const bytes = (each: Color) => [...toBytes(each)] as [number, number, number]
  return Math.min(
    ...grounds.map((ground) => wcagContrast.rgb(bytes(over(color, ground)), bytes(ground))),
  )
}

test('what reads has no remedy, and needs none', () => {
  expect(remedyIn(start)).toBeUndefined()
})

test('a colour of its own on a gradient of its section: what reads on all of the gradient, for it alone', () => {
  const docs = editedDocs(start, own({ slot: 'brand' as never }))
  const remedy = remedyIn(docs)!
  expect(remedy.role).toBeUndefined()
  expect(remedy.reading.ratio).toBeLessThan(4.5)
  expect(remedy.choices.length).toBeGreaterThanOrEqual(2)
  for (const { color, ratio } of remedy.choices) {
    expect(lowest(color, docs)).toBeGreaterThanOrEqual(4.5)
    expect(lowest(color, docs)).toBeCloseTo(ratio, 1)
  }
})

test('a theme that does not read: its role, so that all it colours is mended', () => {
  const docs = editedDocs(start, setHeading({ slot: 'brand' }))
  expect(remedyIn(docs)).toMatchObject({ role: 'heading' })
  const [first] = remedyIn(docs)!.choices
  const mended = editedDocs(docs, setHeading(first!.decision))
  expect(remedyIn(mended)).toBeUndefined()
})

test('where there are two editions, a colour of its own reads in both', () => {
  const plain = editedDocs(
    start,
    setFill(null),
    {
      type: 'setSectionTheme',
      sections: [{ doc: home.id, section: 'newsletter' }],
      theme: 'on-paper',
    },
    { type: 'setEdition', edition: 'visitor', dark: darkEdition(start.frame) },
    own({ slot: 'mist' as never }),
  )
  const dark = { ...plain, frame: afterDark(plain.frame) }
  const light = remedyIn(plain)!.choices
  expect(light.every(({ color }) => lowest(color, plain) >= 4.5)).toBe(true)
  expect(light.some(({ color }) => lowest(color, dark) < 4.5)).toBe(true)
  const both = remedyIn(plain, dark)!.choices
  expect(both.every(({ color }) => lowest(color, plain, dark) >= 4.5)).toBe(true)
})

test('where black and white lie under it, no one colour reads, and none is offered', () => {
  const docs = editedDocs(
    start,
    setFill({
      gradient: 'linear',
      angle: 90,
      stops: [
        { at: 0, color: { value: '#000000' } },
        { at: 100, color: { value: '#ffffff' } },
      ],
    }),
    own({ value: '#808080' }),
  )
  expect(remedyIn(docs)).toMatchObject({ choices: [] })
})
