import { expect, test, type Page } from '@playwright/test'
import { displayable } from 'culori'
import fc from 'fast-check'
import {
  applyShade,
  colorKey,
  colorOf,
  toBytes,
  toOklch,
  type Color,
  type Shade,
} from '@/core/color'
import { cssProperty, windowWidths, type Facet, type Feature } from '@/core/elements'
import { renderSite } from '@/core/render'
import {
  baseOfThing,
  computedTrait,
  computedUnset,
  facetsOf,
  featuresOf,
  isShown,
  liesOver,
  spotsOnPage,
  traceFacet,
  traceFeature,
  type Spot,
} from '@/core/resolve'
import {
  bodyOf,
  paintKindsOf,
  siteDocs,
  slotsInOrder,
  walkSection,
  type Frame,
  type Page as SitePage,
  type PageId,
  type SiteDocs,
  type SiteElement,
  type TraitValues,
} from '@/core/site'
import { slotReference } from '@/core/sweep'
import { fluidSize, sizeAt, states, type State } from '@/core/traits'
import { designs, designSite } from '@/core/designs/ready'
import { anyLooking } from '@/core/site/any-looks.fixture'
import { demoSites } from '@demo/sites'

/** A property that the core resolves, and where Chromium is to be asked for it. */
interface Question {
  readonly selector: string
  readonly pseudo?: string
  readonly property: string
  readonly state: State
  readonly expected: string
  readonly told: string
}

const COMPUTED: Readonly<Record<string, string>> = {
  background: 'background-color',
  color: 'color',
  'border-color': 'border-bottom-color',
  'outline-color': 'outline-color',
}

const rootOf = (spot: Spot, element: SiteElement | undefined) =>
  element ? `[data-el="${element.id}"]` : `[data-section="${spot.section.id}"]`

function colorQuestions(spot: Spot, element: SiteElement | undefined, width: number): Question[] {
  const isHere = ({ below }: Facet) => !below || width <= windowWidths[below]
  const all = facetsOf(element).filter(isHere)
  // What has parts with colours of their own is asked for by its parts.
  const hasParts = ({ key }: Facet) => all.some(({ within }) => within?.includes(key))
  const asked = all.filter((facet) => isShown(facet, element) && !hasParts(facet))
  return asked.flatMap((facet) =>
    states.flatMap((state): Question[] => {
      const { paint, color } = traceFacet(spot, element, facet, state)
      const root = rootOf(spot, element)
      const property = cssProperty(facet)
      const about = {
        selector: facet.part ? `${root} .${facet.part}` : root,
        pseudo: facet.pseudo,
        state,
        told: `${spot.section.name}, ${element?.kind ?? 'section'} ${root}, ${facet.key}, ${state}`,
      }
      const plain = { ...about, property: COMPUTED[property] ?? property }
      // A header that lies over a section shows a veil in place of what it is painted with.
      const isFilled = paintKindsOf(facet).includes('gradient') && (element || !liesOver(spot))
      const image = { ...about, property: 'background-image' }
      if (color) {
        return [
          { ...plain, expected: colorKey(color) },
          ...(isFilled ? [{ ...image, expected: 'none' }] : []),
        ]
      }
      if (!('gradient' in paint)) return []
      const words = facet.takesGradient
        ? [
            { ...plain, expected: '#00000000' },
            { ...about, property: 'background-clip', expected: 'text' },
          ]
        : []
      return [
        ...words,
        ...(isFilled ? [{ ...image, expected: `${paint.gradient}-gradient(` }] : []),
      ]
    }),
  )
}

/** Which feature holds the size of the words of a part. */
const sizeOf = (spot: Spot, element: SiteElement, feature: Feature, state: State) =>
  featuresOf(element).find(({ trait, part }) => trait === 'size' && part === feature.part) &&
  traceFeature(
    spot,
    element,
    featuresOf(element).find(({ trait, part }) => trait === 'size' && part === feature.part)!,
    state,
  ).value

function featureQuestions(spot: Spot, element: SiteElement | undefined, width: number): Question[] {
  const { settings } = spot.docs.frame
  return featuresOf(element).flatMap((feature) =>
    states.flatMap((state): Question[] => {
      const { value } = traceFeature(spot, element, feature, state)
      const own = element && sizeOf(spot, element, feature, state)
      const size = own ? sizeAt(fluidSize(settings, own as TraitValues['size']), width) : 0
      const scales = baseOfThing(spot, undefined).id === 'section'
      const computed =
        value === undefined
          ? computedUnset[feature.trait]
          : computedTrait(feature.trait, value, { settings, width, size, scales })
      const root = rootOf(spot, element)
      return Object.entries(computed ?? {}).flatMap(([property, expected]) =>
        // What hangs on a typeface, or on the size of words that stand elsewhere, cannot be told here.
        expected.startsWith('≈') || (!own && property === 'text-underline-offset')
          ? []
          : {
              selector: feature.part ? `${root} .${feature.part}` : root,
              property,
              state,
              expected,
              told: `${spot.section.name}, ${element?.kind ?? 'section'} ${root}, ${feature.key}, ${state}, ${property} at ${width}`,
            },
      )
    }),
  )
}

function questions(docs: SiteDocs, page: PageId, width: number): Question[] {
  return spotsOnPage(docs, page).flatMap((spot) => {
    const elements: Array<SiteElement | undefined> = [undefined]
    const body = bodyOf(docs, spot.doc)
    if (body) walkSection(body, spot.section, (element) => void elements.push(element))
    return elements.flatMap((element) => [
      ...colorQuestions(spot, element, width),
      ...featureQuestions(spot, element, width),
    ])
  })
}

const FORCED: Readonly<Record<State, readonly string[]>> = {
  rest: [],
  hover: ['hover'],
  focus: ['focus-visible'],
  pressed: ['hover', 'active'],
  disabled: [],
}

/** Asks for many computed values at once; all that match are in one state. */
async function answers(
  page: Page,
  asked: readonly Question[],
  state: State,
): Promise<Array<string | undefined>> {
  const session = await page.context().newCDPSession(page)
  await session.send('DOM.enable')
  await session.send('CSS.enable')
  const { root } = await session.send('DOM.getDocument')
  const forced = FORCED[state]
  for (const selector of forced.length ? new Set(asked.map((each) => each.selector)) : []) {
    const { nodeId } = await session.send('DOM.querySelector', { nodeId: root.nodeId, selector })
    if (nodeId === 0) continue
    await session.send('CSS.forcePseudoState', { nodeId, forcedPseudoClasses: [...forced] })
  }
  const found = await page.evaluate(
    ([list, isDisabled]) =>
      list.map(({ selector, property, pseudo }) => {
        const node = document.querySelector(selector)
        if (!node) return undefined
        if (isDisabled) {
          if (!('disabled' in node)) return undefined
          node.disabled = true
        }
        return getComputedStyle(node, pseudo ?? null).getPropertyValue(property)
      }),
    [
      asked.map(({ selector, property, pseudo }) => ({ selector, property, pseudo })),
      state === 'disabled',
    ] as const,
  )
  await session.detach()
  return found
}

const lengths = (text: string) => text.split(/\s+/).map((part) => part.trim())

/** Whether a computed value is the one expected: colours as colours, lengths to a fiftieth of a pixel. */
function agrees({ property, expected }: Question, computed: string): boolean {
  if (property.endsWith('color')) {
    const color = colorOf(computed)
    const key = color && colorKey(color)
    return key === expected || (!!key?.endsWith('00') && expected.endsWith('00'))
  }
  if (property === 'background-image') return computed.startsWith(expected)
  if (property === 'font-family') {
    return computed.split(',')[0]!.replaceAll('"', '') === expected
  }
  if (property === 'box-shadow') {
    const shape = computed.replaceAll(/(?:rgba?|color|oklch|oklab)\([^)]*\) ?/g, '')
    return shape === expected
  }
  if (property === 'letter-spacing' && expected === 'normal') {
    return computed === 'normal' || computed === '0px'
  }
  const [mine, theirs] = [lengths(expected), lengths(computed)]
  return (
    mine.length === theirs.length &&
    mine.every((part, i) => {
      const [a, b] = [Number.parseFloat(part), Number.parseFloat(theirs[i]!)]
      return Number.isNaN(a) ? part === theirs[i] : Math.abs(a - b) <= 0.05
    })
  )
}

/** The documents without custom CSS, which may overrule decisions: for this check it is switched off. */
const plain = ({ frame, pages }: { frame: Frame; pages: readonly SitePage[] }): SiteDocs =>
  siteDocs({ ...frame, customCss: '' }, pages)

/** Puts a page with its stylesheets before Chromium and compares all that the core resolves on it. */
async function compare(
  page: Page,
  docs: SiteDocs,
  only: readonly PageId[],
  width: number,
  inStates: readonly State[] = states,
): Promise<{ readonly asked: number; readonly wrong: readonly string[] }> {
  await page.setViewportSize({ width, height: 900 })
  // How long a change takes is asked for, and nothing is to be on its way meanwhile.
  await page.emulateMedia({ reducedMotion: 'no-preference' })
  const files = renderSite(docs)
  let asked = 0
  const wrong: string[] = []
  for (const id of only) {
    const { path } = docs.pages[id]!
    const css = [...files]
      .filter(([name]) => name === 'site.css' || name === `${path}.css`)
      .map(([, text]) => text)
    const html = files.get(`${path}.html`)!.replace(/<meta http-equiv[^>]*>|<link[^>]*>/g, '')
    const all = questions(docs, id, width)
    for (const state of inStates) {
      await page.setContent(
        html.replace(
          '</head>',
          () =>
            `<style>${css.join('\n')}\n* { transition-property: none !important }</style></head>`,
        ),
      )
      const here = all.filter((each) => each.state === state)
      const found = await answers(page, here, state)
      here.forEach((question, i) => {
        const computed = found[i]
        // A part that this element does not have, such as a link in a paragraph without one.
        if (computed === undefined) return
        asked += 1
        if (!agrees(question, computed)) {
          wrong.push(`${question.told}: ${computed}, not ${question.expected}`)
        }
      })
    }
  }
  return { asked, wrong }
}

for (const site of demoSites) {
  test(`what the core resolves is what Chromium computes: every element, property and state of ${site.frame.name}`, async ({
    page,
  }) => {
    test.setTimeout(240_000)
    const docs = plain(site)
    const pages = site.pages.map(({ id }) => id)
    const wide = await compare(page, docs, pages, 1280)
    expect(wide.wrong.slice(0, 20)).toEqual([])
    expect(wide.asked).toBeGreaterThan(site.pages.length * 400)
    const narrow = await compare(page, docs, pages, 390, ['rest'])
    expect(narrow.wrong.slice(0, 20)).toEqual([])
  })
}

/** Documents that are tried; `./easel test --long` asks for more. */
const RANDOM = Number(process.env.EASEL_LOOKS ?? 24)

test('what the core resolves is what Chromium computes, of random looks on all designs', async ({
  page,
}) => {
  test.setTimeout(60_000 + RANDOM * 5_000)
  const seed = Number(process.env.EASEL_SEED ?? Date.now() % 1_000_000)
  console.warn(`random looks: EASEL_SEED=${seed}`)
  let asked = 0
  for (let n = 0; n < RANDOM; n += 1) {
    const design = designs[n % designs.length]!
    const { docs } = designSite(design, 'Any site', [])
    const [made] = fc.sample(anyLooking(docs), { numRuns: 1, seed: seed + n })
    const ids = Object.keys(docs.pages) as PageId[]
    const other = states[1 + (n % (states.length - 1))]!
    const width = n % 3 ? 1280 : 390
    const found = await compare(page, made!, [ids[n % ids.length]!], width, ['rest', other])
    expect(found.wrong.slice(0, 10), `EASEL_SEED=${seed + n}, ${design.id}`).toEqual([])
    asked += found.asked
  }
  expect(asked).toBeGreaterThan(RANDOM * 200)
})

const SHADES: readonly Shade[] = [
  { lightness: 8 },
  { lightness: -12 },
  { saturation: -40 },
  { hue: 25 },
  { alpha: -60 },
  { lightness: 6, saturation: -30, hue: -15 },
  { lightness: -10, alpha: -20 },
]

const bytesOf = (color: Color) => [...toBytes(color), Math.round(color.alpha * 255)]

test('a shade that is written into CSS text is computed by Chromium as the core has it', async ({
  page,
}) => {
  const { palette } = demoSites[0]!.frame
  const asked = slotsInOrder(palette).flatMap(({ id, value }) => {
    const color = colorOf(value ?? '')
    return color ? SHADES.map((shade) => ({ slot: id, shade, color })) : []
  })
  const properties = slotsInOrder(palette).map(({ id, value }) => `--slot-${id}: ${value}`)
  await page.setContent(
    `<body style="${properties.join(';')}">${asked
      .map((each) => `<p style="color: ${slotReference(each)}">shade</p>`)
      .join('')}</body>`,
  )
  const computed = await page
    .locator('p')
    .evaluateAll((nodes) => nodes.map((node) => getComputedStyle(node).color))
  const wrong = asked.flatMap(({ slot, shade, color }, index) => {
    const { l, c, h } = toOklch(color)
    const { lightness = 0, saturation = 0, hue = 0 } = shade
    const target = { l: l + lightness / 100, c: c * (1 + saturation / 100), h: h + hue }
    // What sRGB cannot show, a browser cuts off and the core maps; only the rest can agree.
    if (!displayable({ mode: 'oklch', ...target })) return []
    const expected = bytesOf(applyShade(color, shade))
    const found = bytesOf(colorOf(computed[index]!)!)
    // Chromium computes with single precision: the last bit of a byte may differ.
    return expected.every((byte, channel) => Math.abs(byte - found[channel]!) <= 1)
      ? []
      : [`${slot} ${JSON.stringify(shade)}: ${found.join(' ')}, not ${expected.join(' ')}`]
  })
  expect(wrong).toEqual([])
  expect(asked.length).toBe(6 * SHADES.length)
})
