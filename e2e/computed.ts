import type { Frame as BrowserFrame, Page } from '@playwright/test'
import { colorKey, colorOf } from '@/core/color'
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
  walkSection,
  type Frame,
  type Page as SitePage,
  type PageId,
  type SiteDocs,
  type SiteElement,
  type TraitValues,
} from '@/core/site'
import { fluidSize, sizeAt, states, statesBehind, type State } from '@/core/traits'

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

/** What Chromium computes otherwise than expected, in words. */
const differences = (asked: readonly Question[], found: ReadonlyArray<string | undefined>) =>
  asked.flatMap((question, i) => {
    const computed = found[i]
    // A part that this element does not have, such as a link in a paragraph without one.
    if (computed === undefined || agrees(question, computed)) return []
    return [`${question.told}: ${computed}, not ${question.expected}`]
  })

/** The documents without custom CSS, which may overrule decisions: for these checks it is switched off. */
export const plain = ({ frame, pages }: { frame: Frame; pages: readonly SitePage[] }): SiteDocs =>
  siteDocs({ ...frame, customCss: '' }, pages)

/** Puts a page with its stylesheets before Chromium and compares all that the core resolves on it. */
export async function compare(
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
      asked += found.filter((computed) => computed !== undefined).length
      wrong.push(...differences(here, found))
    }
  }
  return { asked, wrong }
}

/** How the stage marks that something is held in a state (`holdState` in `ui/stage`). */
const heldIn = (state: State) => statesBehind[state].filter((each) => each !== 'rest').join(' ')

/** Compares the page on the editor's stage, as it is drawn there now, with what the core resolves of stored documents. */
export async function compareStage(
  stage: BrowserFrame,
  docs: SiteDocs,
  id: PageId,
  state: State,
): Promise<readonly string[]> {
  const width = await stage.evaluate(() => window.innerWidth)
  // Nothing is on its way on the stage: it leaves transitions out.
  const asked = questions(docs, id, width).filter(
    (each) => each.state === state && !each.property.startsWith('transition'),
  )
  const found = await stage.evaluate(
    ([list, held, isDisabled]) => {
      const custom = document.querySelector<HTMLStyleElement>('style[data-layer="custom"]')?.sheet
      const still = document.createElement('style')
      still.textContent = '* { transition-property: none !important }'
      document.head.append(still)
      if (custom) custom.disabled = true
      const marks = ['data-pointed', 'data-held'].flatMap((name) =>
        [...document.querySelectorAll(`[${name}]`)].map((node) => {
          const value = node.getAttribute(name)!
          node.removeAttribute(name)
          return () => node.setAttribute(name, value)
        }),
      )
      const nodes = list.map(({ selector }) => document.querySelector(selector))
      if (held) nodes.forEach((node) => node?.setAttribute('data-held', held))
      const values = list.map(({ property, pseudo }, i) => {
        const node = nodes[i]
        if (!node || (isDisabled && !('disabled' in node))) return undefined
        return getComputedStyle(node, pseudo ?? null).getPropertyValue(property)
      })
      nodes.forEach((node) => node?.removeAttribute('data-held'))
      for (const restore of marks) restore()
      if (custom) custom.disabled = false
      still.remove()
      return values
    },
    [
      asked.map(({ selector, property, pseudo }) => ({ selector, property, pseudo })),
      heldIn(state),
      state === 'disabled',
    ] as const,
  )
  return differences(asked, found)
}
