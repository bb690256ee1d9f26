import fc from 'fast-check'
import { HtmlValidate } from 'html-validate'
import { fromOklch, mapToGamut } from '../../color'
import { failingInSite } from '../../generate'
import { renderAlone, type Whereabouts } from '../../render'
import {
  isWholeRecord,
  recordsOf,
  pictureSchema,
  pictureVersion,
  siteDocs,
  type SiteDocs,
} from '../../site'
import { usesInSite } from '../../uses'
import { drawings, drawingSvg } from '../drawings'
import { designNames } from '../names'
import { readySections } from '../sections'
import { designs, designSite } from './index'

const docsOf = (site: ReturnType<typeof designSite>): SiteDocs =>
  siteDocs(
    site.docs.frame,
    Object.values(site.docs.pages),
    site.drawn.map(({ drawing: { id, alt } }) =>
      pictureSchema.parse({
        schema: pictureVersion,
        id,
        file: 'a'.repeat(64),
        fileName: `${id}.svg`,
        mediaType: 'image/svg+xml',
        width: 800,
        height: 600,
        alt,
      }),
    ),
  )

test('every design has a name, and every name a design', () => {
  expect(designs.map(({ id }) => id)).toEqual(designNames.map(({ id }) => id))
})

describe.each(designs)('$id', (design) => {
  const docs = docsOf(designSite(design, 'A site'))
  const pages = Object.values(docs.pages)

  test('is whole, with three pages or more, and pictures for all that shows one', () => {
    for (const { kind, record } of recordsOf(docs)) expect(isWholeRecord(kind, record)).toBe(true)
    expect(pages.length).toBeGreaterThanOrEqual(3)
    const shown = JSON.stringify(pages).matchAll(/"asset":"([^"]+)"/g)
    for (const [, asset] of shown) expect(Object.keys(docs.pictures)).toContain(asset)
  })

  test('can be read, all of it, and every colour in it is bound', () => {
    expect(failingInSite(docs.frame)).toEqual({ light: [], dark: [] })
    const loose = usesInSite(docs.frame, pages).filter(
      ({ decision, place }) => 'value' in decision && place !== 'palette',
    )
    expect(loose).toEqual([])
  })

  test('links lead to pages that there are', () => {
    const text = JSON.stringify([docs.frame, pages])
    for (const [, page] of text.matchAll(/"page:([^"]+)"/g)) {
      expect(Object.keys(docs.pages)).toContain(page)
    }
  })

  test('an HTML checker finds no error in its pages', async () => {
    // html-validate, its recommended rules; those on style of writing are left out.
    const checker = new HtmlValidate({
      extends: ['html-validate:recommended'],
      rules: {
        'doctype-style': 'off',
        'long-title': 'off',
        'no-inline-style': 'off',
        'void-style': 'off',
        'no-trailing-whitespace': 'off',
        'attribute-boolean-style': 'off',
        'prefer-native-element': 'off',
        'no-implicit-button-type': 'off',
        'require-sri': 'off',
        'tel-non-breaking': 'off',
      },
    })
    const where: Whereabouts = {
      pictures: docs.pictures,
      assetUrl: (id) => `assets/${id}.svg`,
      fontUrl: (file) => `fonts/${file}`,
      link: (href) => href.replace(/^page:(.*)$/, '$1.html'),
    }
    for (const page of pages) {
      const report = await checker.validateString(renderAlone(docs, page, where))
      const told = report.results.flatMap(({ messages }) =>
        messages.map(({ ruleId, message, selector }) => `${ruleId}: ${message} at ${selector}`),
      )
      expect(told).toEqual([])
    }
  })
})

test('any colours of somebody’s own leave every design readable', () => {
  const anyColor = fc
    .record({
      l: fc.double({ min: 0, max: 1, noNaN: true }),
      c: fc.double({ min: 0, max: 0.3, noNaN: true }),
      h: fc.double({ min: 0, max: 360, noNaN: true }),
    })
    .map(({ l, c, h }) => mapToGamut(fromOklch({ l, c, h, alpha: 1 })))
  fc.assert(
    fc.property(
      fc.constantFrom(...designs),
      fc.array(anyColor, { minLength: 1, maxLength: 7 }),
      (design, colors) => {
        const { docs } = designSite(design, 'A site', colors)
        expect(failingInSite(docs.frame)).toEqual({ light: [], dark: [] })
      },
    ),
    { numRuns: 40 },
  )
})

test('ready sections and drawings are as many as promised, each by a name of its own', () => {
  expect(readySections.length).toBeGreaterThanOrEqual(30)
  expect(new Set(readySections.map(({ id }) => id)).size).toBe(readySections.length)
  expect(drawings.length).toBeGreaterThanOrEqual(40)
  expect(new Set(drawings.map(({ id }) => id)).size).toBe(drawings.length)
  const colors = {
    pale: '#fff',
    soft: '#ddd',
    mid: '#999',
    strong: '#f00',
    deep: '#333',
    ink: '#000',
  }
  for (const drawing of drawings) {
    const svg = drawingSvg(drawing, colors)
    expect(svg).not.toMatch(/NaN|undefined/)
    expect(drawing.alt.length).toBeGreaterThan(5)
  }
})
