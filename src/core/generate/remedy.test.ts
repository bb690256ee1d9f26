import wcagContrast from 'wcag-contrast'
import { demoSites } from '@demo/sites'
import { over, toBytes, type Color } from '../color'
import {
  coloredIn,
  facetsOf,
  groundsUnder,
  samplePicture,
  spotsOnPage,
  traceFacet,
  varyingUnder,
  type Place,
  type Spot,
  type Standing,
} from '../resolve'
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
import { ramp } from '../site/ramp.fixture'

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
    return groundsUnder(spotIn(docs), elementIn(docs), trace).map(({ ground }) => ground)
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
  const docs = editedDocs(start, setFill(ramp('#000000', '#ffffff')), own({ value: '#808080' }))
  expect(remedyIn(docs)).toMatchObject({ choices: [] })
})

describe('where it is known where it stands', () => {
  const greys = ramp('#000000', '#ffffff')
  const box = { width: 1000, height: 200 }
  /** Everything is asked about the section; nothing else around the heading varies. */
  const at = (
    rect: { x: number; width: number },
    pictureOf: Place['pictureOf'] = () => undefined,
  ): Standing => ({
    placeOn: () => ({ box, rects: [{ y: 20, height: 40, ...rect }], pictureOf }),
  })
  const remedyAt = (docs: SiteDocs, standing: Standing, ...others: SiteDocs[]) =>
    remedyFor(
      [spotIn(docs), ...others.map((each) => spotIn(each))],
      elementIn(docs),
      facetOf(heading),
      'rest',
      standing,
    )
  const onRamp = editedDocs(start, setFill(greys), own({ value: '#ffffff' }))

  test('white words read at the black end of a gradient, and not at its white end', () => {
    expect(remedyAt(onRamp, at({ x: 0, width: 300 }))).toBeUndefined()
    expect(remedyAt(onRamp, at({ x: 600, width: 300 }))!.reading.ratio).toBeLessThan(4.5)
    expect(remedyIn(onRamp)).toMatchObject({ choices: [] })
  })

  test('a gradient of another window says nothing about this one', () => {
    const narrow = editedDocs(onRamp, {
      type: 'setLooks',
      settings: [
        {
          on: { doc: home.id, section: 'newsletter' },
          key: 'fillPhone',
          state: 'rest',
          value: { ...greys, angle: 270 },
        },
      ],
    })
    const left = at({ x: 0, width: 300 })
    expect(remedyAt(narrow, left)).toBeUndefined()
    expect(remedyAt(narrow, { ...left, below: 'phone' })).toBeDefined()
  })

  const dots = samplePicture(
    { width: 100, height: 20 },
    { x: 50, y: 50 },
    {
      width: 2,
      height: 1,
      data: new Uint8ClampedArray([0, 0, 0, 255, 255, 255, 255, 255]),
    },
  )
  const picture = { picture: 'logo', under: { slot: 'ink' } }
  const onPicture = editedDocs(start, setFill(picture))
  const across = at({ x: 300, width: 400 }, () => dots)

  test('on a picture, the least tint is found with which it does', () => {
    const remedy = remedyAt(onPicture, across)!
    const { paint, percent, ratio, ground } = remedy.tinted!
    expect(ground.owner).toBeUndefined()
    expect(ratio).toBeGreaterThanOrEqual(4.5)
    const mended = editedDocs(onPicture, setFill(paint))
    expect(remedyAt(mended, across)).toBeUndefined()
    // The colour of the tint is the theme's own ground, bound to its slot.
    expect(paint.tint).toMatchObject({ slot: 'ink', shade: { alpha: percent - 100 } })
    const less = { ...paint, tint: { slot: 'ink', shade: { alpha: percent - 105 } } }
    expect(remedyAt(editedDocs(onPicture, setFill(less)), across)).toBeDefined()
  })

  test('a tint that is there is made stronger before another colour is taken', () => {
    const weak = { ...picture, tint: { slot: 'brand', shade: { alpha: -90 } } }
    const { paint } = remedyAt(editedDocs(start, setFill(weak)), across)!.tinted!
    expect(paint.tint).toMatchObject({ slot: 'brand' })
    const loose = { ...picture, tint: { value: 'rgb(23 33 31 / 10%)' } }
    const stronger = remedyAt(editedDocs(start, setFill(loose)), across)!.tinted!
    expect(stronger.paint.tint).toEqual({
      value: `#17211f${Math.round(stronger.percent * 2.55)
        .toString(16)
        .padStart(2, '0')}`,
    })
  })

  test('a tint over the picture of one window does not mend the plain ground of another', () => {
    const phone = {
      type: 'setLooks',
      settings: [
        {
          on: { doc: home.id, section: 'newsletter' },
          key: 'fillPhone',
          state: 'rest',
          value: { slot: 'paper' },
        },
      ],
    }
    expect(remedyAt(editedDocs(onPicture, phone), across)!.tinted).toBeUndefined()
  })

  test('a picture that is hidden by an opaque gradient is none to be tinted', () => {
    const form = coloredIn(spotIn(start)).find(({ element }) => element?.kind === 'form')!.element!
    const words = facetsOf(form).find(({ on, pseudo }) => on === 'fill' && !pseudo)!
    const seenUnder = (first: string) => {
      const stops = [{ at: 0, color: { value: first } }, greys.stops[1]!]
      const docs = editedDocs(onPicture, {
        type: 'setLooks',
        settings: [
          {
            on: { doc: home.id, element: form.id },
            key: 'fill',
            state: 'rest',
            value: { ...greys, stops },
          },
        ],
      })
      const element = docs.pages[home.id]!.body.elements[form.id]!
      const trace = traceFacet(spotIn(docs), element, words, 'rest')
      return varyingUnder(spotIn(docs), element, trace).map(({ owner }) => owner)
    }
    expect(seenUnder('#000000')).toEqual([form.id])
    expect(seenUnder('#00000080')).toEqual([form.id, undefined])
  })

  test('where a picture would have to be hidden, none is offered', () => {
    const docs = editedDocs(onPicture, own({ value: '#777777' }))
    expect(remedyAt(docs, across)!.tinted).toBeUndefined()
  })

  test('until the picture is there, what is under it is judged', () => {
    expect(remedyAt(onPicture, at({ x: 0, width: 100 }))).toBeUndefined()
  })
})

test('words in a gradient read as its worst colour does; plain ones near to its first are offered', () => {
  const words = ramp('paper', 'ink')
  const docs = editedDocs(start, setFill({ slot: 'ink' }), own(words as never))
  const { reading, choices } = remedyIn(docs)!
  expect(reading.ratio).toBeCloseTo(1, 1)
  expect(choices[0]!.decision).toEqual({ slot: 'paper' })
})
