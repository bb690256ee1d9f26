import { expect, test, type CDPSession, type Page } from '@playwright/test'
import { displayable } from 'culori'
import {
  applyShade,
  colorKey,
  colorOf,
  toBytes,
  toOklch,
  type Color,
  type Shade,
} from '@/core/color'
import { cssProperty, kindOf } from '@/core/elements'
import { coloredIn, spotsOnPage, traceFacet } from '@/core/resolve'
import { siteDocs, isColor, slotsInOrder, type SiteDocs } from '@/core/site'
import { slotReference } from '@/core/sweep'
import { demoSites } from '@demo/sites'
import { renderSite } from '@/core/render'

/** A colour that the core resolves, and where Chromium is to be asked for it. */
interface Question {
  readonly selector: string
  readonly pseudo?: string
  readonly property: string
  readonly hover: boolean
  readonly expected: string
  readonly told: string
}

const COMPUTED: Readonly<Record<string, string>> = {
  background: 'background-color',
  color: 'color',
  'border-color': 'border-bottom-color',
  'outline-color': 'outline-color',
}

function questions(docs: SiteDocs, page: SiteDocs['pages'][keyof SiteDocs['pages']]): Question[] {
  const found: Question[] = []
  for (const spot of spotsOnPage(docs, page.id)) {
    for (const { element, facet } of coloredIn(spot)) {
      const root = element ? `[data-el="${element.id}"]` : `[data-section="${spot.section.id}"]`
      for (const state of ['rest', 'hover'] as const) {
        const trace = traceFacet(spot, element, facet, state)
        if (!isColor(trace.paint) || !trace.color) continue
        found.push({
          selector: facet.part ? `${root} .${facet.part}` : root,
          pseudo: facet.pseudo,
          property: COMPUTED[cssProperty(facet)]!,
          hover: state === 'hover',
          expected: colorKey(trace.color),
          told: `${page.title}, ${element ? kindOf(element.kind).label : 'section'} ${root}, ${facet.key}, ${state}`,
        })
      }
    }
  }
  return found
}

/** Forces `:hover` on what matches, as the developer tools do; no pointer is moved. */
async function forceHover(
  session: CDPSession,
  root: number,
  selector: string,
): Promise<() => Promise<void>> {
  const { nodeId } = await session.send('DOM.querySelector', { nodeId: root, selector })
  await session.send('CSS.forcePseudoState', { nodeId, forcedPseudoClasses: ['hover'] })
  return async () => {
    await session.send('CSS.forcePseudoState', { nodeId, forcedPseudoClasses: [] })
  }
}

async function answer(
  page: Page,
  { selector, property, pseudo }: Question,
): Promise<string | undefined> {
  return page.evaluate(
    ([query, name, part]) => {
      const node = document.querySelector(query!)
      return node ? getComputedStyle(node, part).getPropertyValue(name!) : undefined
    },
    [selector, property, pseudo ?? null] as const,
  )
}

for (const site of demoSites) {
  test(`what the core resolves is what Chromium computes: every element, property and state of ${site.frame.name}`, async ({
    page,
  }) => {
    test.setTimeout(240_000)
    // Custom CSS may overrule decisions; for this check it is switched off.
    const frame = { ...site.frame, customCss: '' }
    const docs: SiteDocs = siteDocs(frame, site.pages)
    const files = renderSite(docs)
    let asked = 0
    const wrong: string[] = []
    for (const each of site.pages) {
      const css = [...files]
        .filter(([name]) => name === 'site.css' || name === `${each.path}.css`)
        .map(([, text]) => text)
      const html = files
        .get(`${each.path}.html`)!
        .replace(/<meta http-equiv[^>]*>|<link[^>]*>/g, '')
      await page.setContent(
        html.replace('</head>', () => `<style>${css.join('\n')}</style></head>`),
      )
      const session = await page.context().newCDPSession(page)
      await session.send('DOM.enable')
      await session.send('CSS.enable')
      const { root } = await session.send('DOM.getDocument')
      for (const question of questions(docs, each)) {
        const release = question.hover
          ? await forceHover(session, root.nodeId, question.selector).catch(() => undefined)
          : undefined
        const computed = await answer(page, question)
        await release?.()
        // A part that this element does not have, such as a link in a paragraph without one.
        if (computed === undefined) continue
        asked += 1
        const color = colorOf(computed)
        const key = color && colorKey(color)
        const seenThrough = key?.endsWith('00') && question.expected.endsWith('00')
        if (key !== question.expected && !seenThrough)
          wrong.push(`${question.told}: ${computed}, not ${question.expected}`)
      }
      await session.detach()
    }
    expect(wrong).toEqual([])
    expect(asked).toBeGreaterThan(site.pages.length * 40)
  })
}

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
