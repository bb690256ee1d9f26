import { demoSites } from '@demo/sites'
import { ternFrame } from '@demo/tern/frame'
import {
  siteDocs,
  frameSchema,
  pageSchema,
  type Frame,
  type Page,
  type PageId,
  type Pictures,
  type SiteDocs,
  type SlotId,
} from '../site'
import { addOnsCss } from './add-ons'
import { writeRules } from './css-names'
import { slotProperties } from './palette-css'
import { renderSite } from './published'
import { renderDocument, renderPageCss, renderSections, renderSiteCss } from './render'
import { shadesOnPages } from './palette-css'
import type { Whereabouts } from './whereabouts'
import { ramp } from '../site/ramp.fixture'

const where: Whereabouts = {
  pictures: {},
  assetUrl: (id) => `assets/${id}`,
  fontUrl: (file) => `fonts/${file}`,
  link: (href) => href.replace(/^page:home$/, 'index.html'),
}
const home = demoSites[0]!.pages[0]!
const docs: SiteDocs = siteDocs(ternFrame, [home])

function pageOf(elements: Record<string, unknown>, section: Record<string, unknown> = {}): Page {
  return pageSchema.parse({
    ...home,
    body: {
      order: ['only'],
      sections: {
        only: {
          id: 'only',
          name: 'Only',
          kind: 'band',
          theme: 'on-paper',
          layout: 'stack',
          children: Object.keys(elements),
          ...section,
        },
      },
      elements,
    },
  })
}
const withPage = (page: Page, frame: Frame = ternFrame): SiteDocs => siteDocs(frame, [page])

describe('the stylesheet', () => {
  const css = renderSiteCss(ternFrame, shadesOnPages([home]), where)

  test('holds the slots once, and only the shades that are used', () => {
    expect(css.palette).toMatch(/^:root \{\n {2}--slot-paper: #f7f2e7;\n/)
    expect(css.palette.match(/--slot-brand: /g)).toHaveLength(1)
    expect(css.palette).toContain('--slot-brand--darker-12: ')
    expect(css.palette).not.toContain('--slot-brand--darker-11')
  })

  test('says for each theme which slot every role takes', () => {
    expect(css.themes).toContain('[data-theme="on-ink"] {\n  --role-ground: var(--slot-ink);')
    expect(css.themes).toContain('--role-button-hover-fill: #2e6fb7;')
    expect(css.themes.match(/\[data-theme=/g)).toHaveLength(5)
  })

  test('names no colour in what all sites share', () => {
    expect(css.kinds).not.toMatch(/#[\da-f]{3,8}\b|rgb\(|hsl\(/i)
    expect(css.kinds).toContain('.main-button {\n  background: var(--role-button-fill);')
    expect(css.kinds).toContain(
      '.main-button:hover {\n  background: var(--role-button-hover-fill);',
    )
  })

  test('lets a style that inherits come after the one it inherits from', () => {
    const [ticket, sale] = [
      css.styles.indexOf(':is(.style-ticket, .style-sale)'),
      css.styles.indexOf('.style-sale {'),
    ]
    expect(ticket).toBeGreaterThanOrEqual(0)
    expect(sale).toBeGreaterThan(ticket)
  })

  test('writes an empty slot as nothing, with all its shades', () => {
    const palette = {
      ...ternFrame.palette,
      slots: {
        ...ternFrame.palette.slots,
        brand: { ...ternFrame.palette.slots['brand' as SlotId]!, value: null },
      },
    }
    expect(slotProperties(palette, 'brand' as SlotId, [{ lightness: 8 }])).toEqual([
      ['--slot-brand', '#00000000'],
      ['--slot-brand--lighter-8', '#00000000'],
    ])
  })

  test('maps a colour outside sRGB into it', () => {
    const frame = frameSchema.parse({
      ...ternFrame,
      palette: {
        ...ternFrame.palette,
        slots: {
          ...ternFrame.palette.slots,
          spark: {
            ...ternFrame.palette.slots['spark' as SlotId],
            value: 'color(display-p3 1 0 0)',
          },
        },
      },
    })
    expect(renderSiteCss(frame, [], where).palette).toMatch(/--slot-spark: #f[\da-f]{5};/)
  })
})

describe('colours of single things', () => {
  test('on an element, its parts, its states; a gradient; a section', () => {
    const page = pageOf(
      {
        go: {
          id: 'go',
          kind: 'mainButton',
          content: { label: 'Go' },
          looks: {
            fill: {
              rest: { slot: 'ink' },
              hover: {
                gradient: 'linear',
                angle: 90,
                stops: [
                  { at: 0, color: { slot: 'ink' } },
                  { at: 100, color: { value: 'teal' } },
                ],
              },
            },
          },
        },
        say: {
          id: 'say',
          kind: 'paragraph',
          content: { runs: [{ text: 'x', href: '#' }] },
          looks: { link: { hover: { value: 'RED' } } },
        },
      },
      { looks: { fill: { rest: { picture: 'waves', under: { slot: 'brand' } } } } },
    )
    const css = renderPageCss(withPage(page), page.id, where)
    expect(css).toContain(
      '[data-section="only"] {\n  background: var(--slot-brand) url("assets/waves") center / cover;',
    )
    expect(css).toContain('[data-el="go"] {\n  background: var(--slot-ink);')
    expect(css).toContain(
      '[data-el="go"]:hover {\n  background: linear-gradient(90deg, var(--slot-ink) 0%, #008080 100%);',
    )
    expect(css).toContain(':where([data-el="say"]) .link:hover {\n  color: #ff0000;')
  })
})

describe('words in a gradient', () => {
  const gradient = ramp('ink', 'brand')
  const titled = (looks: unknown) => ({
    a: { id: 'a', kind: 'heading', content: { runs: [{ text: 'x' }], level: 1 }, looks },
  })
  const cssOf = (looks: unknown, styles: unknown = {}) =>
    renderPageCss(
      withPage(pageOf(titled(looks)), frameSchema.parse({ ...ternFrame, styles })),
      home.id,
      where,
    )

  test('are cut out of it, on paper too', () => {
    expect(cssOf({ text: { rest: gradient } })).toContain(
      `[data-el="a"] {
  color: transparent;
  background: linear-gradient(90deg, var(--slot-ink) 0%, var(--slot-brand) 100%);
  background-clip: text;
  print-color-adjust: exact;
}`,
    )
  })

  test('are plain again under the pointer', () => {
    const css = cssOf({ text: { rest: gradient, hover: { slot: 'ink' } } })
    expect(css).toContain(
      '[data-el="a"]:hover {\n  color: var(--slot-ink);\n  background: none;\n}',
    )
  })

  test('are plain again where an element, or a style that inherits, says so', () => {
    const plain = { text: { rest: { slot: 'ink' } } }
    expect(cssOf(plain)).not.toContain('background: none')
    const styles = {
      proud: { id: 'proud', name: 'Proud', kind: 'heading', looks: { text: { rest: gradient } } },
      calm: { id: 'calm', name: 'Calm', kind: 'heading', parent: 'proud', looks: plain },
    }
    expect(cssOf(plain, styles)).toContain('background: none')
    const frame = frameSchema.parse({ ...ternFrame, styles })
    expect(renderSiteCss(frame, [], where).styles).toContain(
      '.style-calm {\n  color: var(--slot-ink);\n  background: none;\n}',
    )
    const based = {
      'heading-1': {
        id: 'heading-1',
        name: 'Title',
        kind: 'heading',
        looks: { text: { rest: gradient } },
      },
    }
    expect(cssOf(plain, based)).toContain('background: none')
  })
})

test('a blending header lets a gradient or a picture of the section under it through, on that page alone', () => {
  const gradient = (from: string, to: string) => ramp(from, to, 180)
  const filled = (rest: unknown) => withPage(pageOf({}, { looks: { fill: { rest } } }))
  const over = filled(gradient('mist', 'paper'))
  const header = renderSections(over, home.id, where).find(
    ({ kind, id }) => kind === 'header' && id === 'header',
  )
  expect(header!.html).toContain('class="section header over"')
  const css = renderPageCss(over, home.id, where)
  expect(css).toContain('[data-section="header"] {\n  background: none;')
  expect(css).toContain('[data-section="only"] {\n  background: linear-gradient(180deg')

  // Where its words would not read, a veil of its ground lies between.
  const veil =
    /\[data-section="header"\] \{\n {2}background: color-mix\(in srgb, var\(--role-ground\) \d+%, transparent\);/
  expect(renderPageCss(filled(gradient('ink', 'brand')), home.id, where)).toMatch(veil)
  const picture = { picture: 'waves', under: { slot: 'paper' } }
  expect(renderPageCss(filled(picture), home.id, where)).toMatch(veil)

  const plain = filled({ slot: 'mist' })
  expect(renderSections(plain, home.id, where)[0]!.html).not.toContain('over')
  expect(renderPageCss(plain, home.id, where)).toContain(
    '[data-section="header"] {\n  background: var(--slot-mist);',
  )
})

describe('HTML', () => {
  const nasty = '<script>alert(1)</script> & "quotes"'
  const page = pageOf({
    a: { id: 'a', kind: 'heading', content: { runs: [{ text: nasty }], level: 1 } },
    b: { id: 'b', kind: 'mainButton', content: { label: nasty, href: 'java\tscript:alert(1)' } },
    c: {
      id: 'c',
      kind: 'navigation',
      content: {
        items: [
          { label: 'Here', href: 'page:home' },
          { label: 'There', href: 'https://example.org/?a=1&b=2' },
        ],
      },
    },
    d: {
      id: 'd',
      kind: 'embed',
      content: {
        name: 'x',
        html: '<p style="color:red">hi</p>',
      },
    },
  })
  const html = renderSections(withPage(page), home.id, where).find(({ id }) => id === 'only')!.html

  test('words stay words, links cannot run, snippets stand as they are stored', () => {
    expect(html).toContain('&lt;script&gt;alert(1)&lt;/script&gt; &amp; &quot;quotes&quot;')
    expect(html).not.toMatch(/<script|javascript/i)
    expect(html).toContain('<a class="main-button" data-el="b" href="#">')
    expect(html).toContain('style="color:red"')
  })

  test('the page itself is marked in the navigation', () => {
    expect(html).toContain('href="index.html" aria-current="page"')
    expect(html).toContain('https://example.org/?a=1&amp;b=2')
  })

  test('header and footer stand around the bands', () => {
    const ids = renderSections(docs, home.id as PageId, where).map(({ id }) => id)
    const after = ['add-on letter', 'footer', 'add-on help-desk']
    expect(ids).toEqual(['header', ...home.body.order, ...after])
  })

  test('a document stands by itself, with a policy and a title', () => {
    const whole = renderDocument(docs, home, where, ['site.css'])
    expect(whole).toMatch(/^<!doctype html>\n<html lang="en">/)
    expect(whole).toContain('<title>Home · Tern &amp; Thistle</title>')
    expect(whole).toContain('default-src &#39;none&#39;')
    expect(whole).toContain('<link rel="stylesheet" href="site.css">')
  })
})

test('what holds in narrow windows comes behind the rest, the narrower the later, whichever was met first', () => {
  const rule = (selector: string, upTo?: number) => ({
    selector,
    declarations: [['color', 'red']] as const,
    ...(upTo ? { upTo } : {}),
  })
  const css = writeRules([rule('a', 640), rule('b'), rule('c', 1000), rule('d', 640)])
  expect(css.match(/[abcd] \{|max-width: \d+/g)).toEqual([
    'b {',
    'max-width: 1000',
    'c {',
    'max-width: 640',
    'a {',
    'd {',
  ])
})

describe('add-ons', () => {
  const files = renderSite(docs)

  test('take slots as the site does, in a layer of their own, above custom CSS', () => {
    const bound = { ...docs.frame.addOns[0]!.settings, 'launcher.background': { slot: 'brand' } }
    const addOns = [{ ...docs.frame.addOns[0]!, settings: bound }]
    const css = addOnsCss({ addOns } as unknown as Frame)
    expect(css).toContain('--launcher-background: var(--slot-brand);')
    expect(css).toContain('--launcher-label: #ffffff;')
    expect(files.get('site.css')).toContain('.add-on-chat summary')
  })

  test('have the icon of the site as all pages do, which need not be there', () => {
    const pictures = { logo: { id: 'logo', fileName: 'logo.svg' } } as unknown as Pictures
    const withIcon = renderSite({ ...docs, pictures })
    const icons = ['index.html', 'add-ons/checkout.html'].map(
      (name) => /rel="icon" href="([^"]*)"/.exec(withIcon.get(name)!)?.[1],
    )
    expect(icons).toEqual(['assets/logo.svg', '../assets/logo.svg'])
    expect(files.get('index.html')).toContain('rel="icon" href="data:,"')
  })

  test('bring their pages along, and their words are never markup', () => {
    expect(files.get('add-ons/checkout.html')).toContain('<body class="add-on-checkout">')
    expect(files.get('add-ons/thank-you.html')).toContain('href="../site.css"')
    const [chat] = docs.frame.addOns
    const words = { ...chat!.settings, greeting: '<img src=x onerror=alert(1)>' }
    const frame = { ...docs.frame, addOns: [{ ...chat!, settings: words }] }
    const html = renderSections({ ...docs, frame }, home.id, where).at(-1)!.html
    expect(html).toContain('&lt;img src=x onerror=alert(1)&gt;')
  })
})
