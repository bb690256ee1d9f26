import { expect, test, type Page } from '@playwright/test'
import { demoSites } from '@demo/sites'
import { ternFrame } from '@demo/tern/frame'
import wcagContrast from 'wcag-contrast'
import { kindClass, kindIds, kindOf } from '@/core/elements'
import { generateThemes } from '@/core/generate'
import {
  renderDocument,
  renderPageCss,
  renderSiteCss,
  shadesOnPages,
  type Whereabouts,
} from '@/core/render'
import { roleIds, roles } from '@/core/roles'
import { siteDocs, slotSchema, type Frame, type Palette, type SiteDocs } from '@/core/site'
import { buttonForms, type ButtonForm } from '@/core/traits'
import { specimenPage } from '@/ui/themes/specimen-page'
import { hardToRead } from './reads-well'

const where: Whereabouts = {
  pictures: {},
  assetUrl: () => 'data:,',
  fontUrl: () => 'data:,',
  link: () => '#',
}
const palettes: ReadonlyArray<readonly [string, string[]]> = [
  ['the demo', ternFrame.palette.order.map((id) => ternFrame.palette.slots[id]!.value!)],
  [
    'six near-identical mid greys',
    ['#757575', '#767676', '#777777', '#787878', '#797979', '#7a7a7a'],
  ],
  ['one colour', ['#d65a2a']],
  ['neon', ['#ff00ff', '#00ff00', '#ffff00', '#00ffff', '#101010', '#ffffff']],
  ['pastel', ['#fdf6f2', '#f6ddd0', '#e3d9e4', '#cde9e3', '#d3e0fa']],
]

function withGeneratedThemes(given: Frame, values: readonly string[], form: ButtonForm): Frame {
  const frame = { ...given, settings: { ...given.settings, buttonForm: form } }
  const slots = values.map((value, i) =>
    slotSchema.parse({ id: `s${i}`, name: `Slot ${i}`, value, was: [] }),
  )
  const palette = {
    ...frame.palette,
    order: slots.map(({ id }) => id),
    slots: Object.fromEntries(slots.map((slot) => [slot.id, slot])),
  } as Palette
  const themes = generateThemes({ ...frame, palette })
  const byId = Object.fromEntries(themes.map((theme) => [theme.id, theme]))
  return {
    ...frame,
    palette,
    themes: { order: themes.map(({ id }) => id), byId } as Frame['themes'],
  }
}

/** A page as it is published, the decisions on single elements left out: what themes alone give. */
function htmlOf(docs: SiteDocs, page: SiteDocs['pages'][keyof SiteDocs['pages']]): string {
  const css = Object.values(renderSiteCss(docs.frame, shadesOnPages([page]), where)).join('\n')
  const own = renderPageCss(docs, page.id, where)
  const html = renderDocument(docs, page, where, [])
  const still = '* { transition: none !important }'
  return html
    .replace(/<meta http-equiv[^>]*>/, '')
    .replace('</head>', () => `<style>${css}\n${own}\n${still}</style></head>`)
}

const bare = {
  ...ternFrame,
  styles: {},
  customCss: '',
  body: { order: [], sections: {}, elements: {} },
}

for (const [name, values] of palettes) {
  test(`the specimen in all generated themes can be read, at rest and pointed at: ${name}`, async ({
    page,
  }) => {
    for (const form of buttonForms)
      await specimenReads(page, withGeneratedThemes(bare, values, form))
  })
}

/** What has to be told from its surroundings by 3:1 (WCAG 2.2, 1.4.11): where it is, which property paints it, what it lies on. */
const shapes = kindIds.flatMap((id) =>
  kindOf(id).facets.flatMap(({ role, part, property, paints, on, pseudo, key }) => {
    const needs = typeof role === 'string' ? roles[role].needs : undefined
    if (needs !== 3 || pseudo) return []
    const painted = property ?? (paints === 'line' ? 'border-top-color' : 'color')
    return [{ name: `${id} ${key}`, selector: `.${part ?? kindClass(id)}`, painted, inside: !!on }]
  }),
)

/** Every ring, line and icon on a page with the colour that lies under it, as the browser computes them. */
const shapesOn = (page: Page) =>
  page.evaluate((asked) => {
    const canvas = document.createElement('canvas').getContext('2d', { willReadFrequently: true })!
    /** Colours laid over one another on white, as 8-bit channels. */
    const painted = (colors: string[]) => {
      canvas.fillStyle = '#ffffff'
      canvas.fillRect(0, 0, 1, 1)
      for (const color of colors) {
        canvas.fillStyle = color
        canvas.fillRect(0, 0, 1, 1)
      }
      return [...canvas.getImageData(0, 0, 1, 1).data].slice(0, 3)
    }
    const under = (from: Element | null) => {
      const fills: string[] = []
      for (let node = from; node; node = node.parentElement) {
        fills.unshift(getComputedStyle(node).backgroundColor)
      }
      return fills
    }
    return asked.flatMap(({ name, selector, painted: property, inside }) =>
      [...document.querySelectorAll(selector)].flatMap((node) => {
        const style = getComputedStyle(node)
        const color = style.getPropertyValue(property)
        const isDrawn = property.startsWith('border')
          ? style.borderTopStyle !== 'none' && parseFloat(style.borderTopWidth) > 0
          : property !== 'outline-color' || style.outlineStyle !== 'none'
        const box = node.getBoundingClientRect()
        if (!isDrawn || box.width === 0) return []
        const fills = under(inside ? node : node.parentElement)
        return [{ name, color: painted([...fills, color]), ground: painted(fills) }]
      }),
    )
  }, shapes)

const STATES = {
  rest: /$^/g,
  focus: /:focus-visible\b/g,
  hover: /:hover\b/g,
  pressed: /:active\b/g,
}

test('every ring, line and icon of the specimen is told from what it lies on, in every state', async ({
  page,
}) => {
  const seen = new Set<string>()
  const sites: Array<readonly [string, Frame]> = [
    ...palettes.map(
      ([name, values]) => [name, withGeneratedThemes(bare, values, 'solid')] as const,
    ),
    ...demoSites.map(({ id, frame }) => {
      const made = generateThemes(frame)
      const byId = Object.fromEntries(made.map((theme) => [theme.id, theme]))
      const themes = { order: made.map(({ id: own }) => own), byId } as Frame['themes']
      return [id, { ...bare, palette: frame.palette, themes }] as const
    }),
  ]
  for (const [name, frame] of sites) {
    const specimen = specimenPage(frame.themes.order.map((id) => frame.themes.byId[id]!))
    const html = htmlOf(siteDocs(frame, [specimen]), specimen)
    for (const [state, selector] of Object.entries(STATES)) {
      await page.setContent(html.replaceAll(selector, ':not(#none)'))
      const found = await shapesOn(page)
      for (const each of found) seen.add(`${each.name} ${state}`)
      const low = found.filter(
        ({ color, ground }) => wcagContrast.rgb(color as Rgb, ground as Rgb) < 3,
      )
      expect([name, state, low]).toEqual([name, state, []])
    }
  }
  for (const kind of ['mainButton focus', 'searchField buttonFocus', 'form line', 'form focus'])
    expect([...seen]).toContain(`${kind} focus`)
})

type Rgb = [number, number, number]

async function specimenReads(page: Page, frame: Frame) {
  const specimen = specimenPage(frame.themes.order.map((id) => frame.themes.byId[id]!))
  const html = htmlOf(siteDocs(frame, [specimen]), specimen)
  await page.setContent(html)
  expect(await page.locator('.main-button').count()).toBe(frame.themes.order.length)
  expect(await hardToRead(page)).toEqual([])
  await page.setContent(html.replaceAll(/:hover\b/g, ':not(#none)'))
  expect(await hardToRead(page)).toEqual([])
  expect(Object.keys(frame.themes.byId[frame.themes.order[0]!]!.roles)).toHaveLength(roleIds.length)
}

test('all demo pages in generated themes can be read, at rest and pointed at', async ({ page }) => {
  for (const site of demoSites) {
    const made = generateThemes(site.frame)
    // Each theme of the design gets the roles generated on the ground that it has.
    const byGround = new Map(made.map((theme) => [JSON.stringify(theme.roles.ground), theme]))
    const byId = Object.fromEntries(
      Object.values(site.frame.themes.byId).map((theme) => [
        theme.id,
        { ...theme, roles: (byGround.get(JSON.stringify(theme.roles.ground)) ?? made[0]!).roles },
      ]),
    )
    const body = withoutColors(site.frame.body)
    const frame = {
      ...site.frame,
      styles: {},
      customCss: '',
      body,
      themes: { ...site.frame.themes, byId },
    } as Frame
    for (const each of site.pages) {
      const own = { ...each, body: withoutColors(each.body) }
      const html = htmlOf(siteDocs(frame, [own]), own)
      await page.setContent(html)
      expect({ page: own.id, found: await hardToRead(page) }).toEqual({ page: own.id, found: [] })
      await page.setContent(html.replaceAll(/:hover\b/g, ':not(#none)'))
      expect({ page: own.id, found: await hardToRead(page) }).toEqual({ page: own.id, found: [] })
    }
  }
})

/** A body with the loose and bound colours of single elements, and snippets of others, taken away. */
function withoutColors(body: Frame['body']): Frame['body'] {
  const strip = <T extends { looks?: unknown }>({ looks: _colors, ...rest }: T) => rest
  const elements = Object.entries(body.elements)
    .filter(([, { kind }]) => kind !== 'embed')
    .map(([id, element]) => [id, strip(element)])
  const sections = Object.entries(body.sections).map(([id, section]) => [id, strip(section)])
  return {
    ...body,
    elements: Object.fromEntries(elements),
    sections: Object.fromEntries(sections),
  } as Frame['body']
}
