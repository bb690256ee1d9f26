import fc from 'fast-check'
import { ternFrame } from '@demo/tern/frame'
import { home } from '@demo/tern/home'
import { colorOf, contrast, over, writeRatio, type Color } from '../color'
import { kindOf } from '../elements'
import { siteDocs, walkSection, type Section, type SiteElement } from '../site'
import { backdropsIn, contrastOn, plainBackdrop, seenOn, type Backdrop } from './backdrop'
import { readingOf } from './grounds'
import { spotsOnPage } from './spot'
import { traceFacet } from './trace'

interface Level {
  readonly fill?: Color
  readonly opacity: number
}

/** Group compositing as browsers do it: an element and all in it is painted by itself, then faded, then laid over what is behind. */
function painted(section: Color, levels: readonly Level[], color: Color): Color {
  const inside = levels.reduceRight<Color | undefined>((inner, { fill, opacity }) => {
    const layers = [inner ?? color, ...(fill ? [fill] : [])]
    const group = layers.reduce((top, below) => over(top, below))
    return { ...group, alpha: group.alpha * opacity }
  }, undefined)
  return over(inside ?? color, section)
}

const unit = fc.integer({ min: 0, max: 100 }).map((n) => n / 100)
const opaque = fc.record({ r: unit, g: unit, b: unit, alpha: fc.constant(1) })
const color = fc.record({ r: unit, g: unit, b: unit, alpha: unit })
const level = fc.record({ fill: fc.option(color, { nil: undefined }), opacity: unit })
const none: Color = { r: 0, g: 0, b: 0, alpha: 0 }

test('what is seen is what group compositing paints, however deep', () => {
  const seed = Math.floor(Math.random() * 1e9)
  console.warn(`backdrops: seed ${seed}`)
  fc.assert(
    fc.property(opaque, fc.array(level, { maxLength: 5 }), color, (section, levels, top) => {
      const [backdrop] = levels.reduce<Backdrop[]>(
        ([below], { fill, opacity }) => backdropsIn(below!, fill && [fill], opacity),
        [plainBackdrop(section)],
      )
      for (const [is, should] of [
        [backdrop!.ground, painted(section, levels, none)],
        [seenOn(top, backdrop!), painted(section, levels, top)],
      ] as const) {
        expect(is.r).toBeCloseTo(should.r, 8)
        expect(is.g).toBeCloseTo(should.g, 8)
        expect(is.b).toBeCloseTo(should.b, 8)
        expect(is.alpha).toBeCloseTo(1, 8)
      }
    }),
    { seed },
  )
})

test('without opacity a colour reads as it always did', () => {
  const [text, ground] = [colorOf('#17211f')!, colorOf('#f7f2e7')!]
  expect(contrastOn(text, plainBackdrop(ground))).toBe(contrast(text, ground))
})

describe('a main button of the demo', () => {
  const button = Object.values(home.body.elements).find(({ kind }) => kind === 'mainButton')!
  const holder = Object.values(home.body.elements).find(({ children }) =>
    children?.includes(button.id),
  )
  const holds = (section: Section) => {
    const found: string[] = []
    walkSection(home.body, section, ({ id }) => void found.push(id))
    return found.includes(button.id)
  }
  /** The label's reading, with an opacity on the button and on what holds it. */
  const reading = (own: number, around = 1) => {
    const faded = (element: SiteElement, rest: number) =>
      ({ ...element, looks: { ...element.looks, opacity: { rest } } }) as SiteElement
    const element = faded(button, own)
    const elements = {
      ...home.body.elements,
      [button.id]: element,
      ...(holder ? { [holder.id]: faded(holder, around) } : {}),
    }
    const docs = siteDocs(ternFrame, [{ ...home, body: { ...home.body, elements } }])
    const spot = spotsOnPage(docs, home.id).find(({ section }) => holds(section))!
    const facet = kindOf('mainButton').facets.find(({ key }) => key === 'label')!
    return readingOf(spot, element, traceFacet(spot, element, facet, 'rest'))!
  }

  test('at 40 % reads far worse than it does whole', () => {
    const [whole, faded] = [reading(1), reading(0.4)]
    expect(Number(writeRatio(whole.ratio))).toBeGreaterThan(4.5)
    expect(faded.ratio).toBeLessThan(2.5)
    // By hand: the label and its fill, each at 40 % over the section's background.
    const under = reading(0).ground
    const by = (top: Color) => over({ ...top, alpha: 0.4 }, under)
    expect(faded.ratio).toBeCloseTo(contrast(by(whole.color), by(whole.ground)), 6)
  })

  test('at nothing is not seen at all', () => {
    expect(reading(0).ratio).toBe(1)
  })
})
