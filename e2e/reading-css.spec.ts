import { expect, test } from '@playwright/test'
import fc from 'fast-check'
import { clipToGamut, colorOf, parseColor, toBytes } from '@/core/color'
import { readDeclarations } from '@/core/css'
import { readHtmlColors } from '@/core/markup'
import { readCssColors } from '@/core/uses'

/** Chromium is the last word on what CSS says; these hold what we read against what it reads. */

const nested = `
.card { color: #010101; .title { color: #020202 } > b { color: #030303 } :hover { color: #040404 }
  a:hover { color: #050505 } & + & { color: #060606 } color: #070707;
  @media (min-width: 1px) { color: #080808; i { color: #090909 } color: #0a0a0a }
  @layer x { color: #0b0b0b } --any: { color: #0c0c0c }; color: #0d0d0d !important }
@layer a { @layer b { p { color: #0e0e0e } } } @supports (color: red) { p { q { fill: #0f0f0f } } }
@media (min-width: 1px) { color: #101010; p { color: #111111 } }
@keyframes k { 0% { color: #121212 } to { color: #131313 } }
p { color: #141414; ; : ; foo bar; color: #151515 } p { color: red\\9; } p { color: #161616 }
@scope (p) { color: #171717; b { color: #181818 } }
p { /* } */ color: #191919; background: url(x;y}z) } p { content: "}"; color: #1a1a1a }
.a\\{b { color: #1b1b1b } [title="{"] { color: #1c1c1c } p { color: #1d1d1d`

test('every colour that Chromium keeps of a nested stylesheet is found, and none twice', async ({
  page,
}) => {
  const kept = await page.evaluate((css) => {
    const sheet = new CSSStyleSheet()
    sheet.replaceSync(css)
    const found = new Set<string>()
    const visit = (rules: CSSRuleList) => {
      for (const rule of rules) {
        const { style, cssRules } = rule as CSSStyleRule
        for (let i = 0; i < (style?.length ?? 0); i += 1) {
          const value = style.getPropertyValue(style[i]!)
          for (const [r] of value.matchAll(/rgb\((\d+), \1, \1\)/g)) found.add(r)
        }
        if (cssRules) visit(cssRules)
      }
    }
    visit(sheet.cssRules)
    return [...found]
  }, nested)
  const read = readCssColors(nested, 'stylesheet')
    .map(({ text }) => colorOf(text)!)
    .map((color) => `rgb(${toBytes(color).join(', ')})`)
  for (const color of kept) expect(read).toContain(color)
  // A later declaration of the same rule takes the place of an earlier one, which is read all the same.
  expect(kept.length).toBeGreaterThan(20)
  expect(new Set(read).size).toBe(read.length)
})

test('a colour is read in each property in which Chromium takes one, and in none that takes any name', async ({
  page,
}) => {
  const known = await page.evaluate(() => {
    const names = Object.keys(document.body.style)
      .map((name) => name.replaceAll(/[A-Z]/g, (letter) => `-${letter.toLowerCase()}`))
      .map((name) => name.replace(/^(?=webkit-)/, '-'))
    return [...new Set([...names, ...getComputedStyle(document.body)])].flatMap((name) => {
      const takes = (value: string) => CSS.supports(name, value)
      const isName = takes('zz-unknown')
      if (!isName && !takes('tan') && !takes('drop-shadow(0 0 1px tan)') && !takes('1px 1px tan'))
        return []
      return [
        { name, isName, value: ['tan', 'drop-shadow(0 0 1px tan)', '1px 1px tan'].find(takes)! },
      ]
    })
  })
  const read = (value: string, { name }: { name: string }) =>
    readCssColors(`a{${name}:${value}}`, 'stylesheet').map(({ text }) => text)
  const colored = known.filter(({ isName }) => !isName)
  expect(colored.length).toBeGreaterThan(50)
  expect(colored.filter((each) => !read(each.value, each).includes('tan'))).toEqual([])
  const named = known.filter(({ isName }) => isName)
  expect(named.length).toBeGreaterThan(10)
  expect(named.filter((each) => read('tan', each).length > 0)).toEqual([])
})

/** Declarations as stylesheets of twenty years hold them; `C` is any colour. */
const shapes = [
  'color: C',
  'color: C C',
  'color: C\\9',
  'color: C !ie',
  'border: 1px solid C',
  'border: C 1px',
  'border: 1px solid C\\0/',
  'border-top: medium double C',
  'border-color: C C C C',
  'border-color: C C C C C',
  'outline: C auto 1px',
  'background: C',
  'background: C, C',
  'background: url(x.png) no-repeat C',
  'background: linear-gradient(C, C 20%, C)',
  'background: linear-gradient(top, C, C)',
  'background: linear-gradient(to top, C, C)',
  'background: -webkit-linear-gradient(top, C, C)',
  'background: -moz-linear-gradient(top, C, C)',
  'background: -o-linear-gradient(top, C, C)',
  'background: -ms-linear-gradient(top, C, C)',
  'background: -webkit-gradient(linear, left top, left bottom, from(C), to(C))',
  'background-image: radial-gradient(circle at 10% 10%, C, transparent)',
  'background-image: conic-gradient(from 3deg, C, C)',
  'background-image: repeating-linear-gradient(45deg, C 0 2px, transparent 2px 4px)',
  'background-color: C none',
  'box-shadow: 0 0 2px C, inset 0 1px C',
  'box-shadow: C 0 0 2px 1px inset',
  'box-shadow: 0 C 0 2px',
  'text-shadow: 0 1px 0 C',
  'text-decoration: underline C',
  'text-decoration: underline wavy C 2px',
  'column-rule: 1px solid C',
  'filter: drop-shadow(0 0 2px C)',
  'backdrop-filter: drop-shadow(0 0 2px C)',
  'caret-color: C',
  'accent-color: C',
  'scrollbar-color: C C',
  'scrollbar-color: C',
  'fill: C',
  'fill: url(#g) C',
  'stroke: C',
  'stop-color: C',
  'text-emphasis: filled C',
  '-webkit-text-stroke: 1px C',
  '-webkit-text-fill-color: C',
  '-webkit-tap-highlight-color: C',
  'list-style-image: linear-gradient(C, C)',
  'mask-image: linear-gradient(C, transparent)',
  'border-image: linear-gradient(C, C) 30',
  'color: color-mix(in srgb, C, C 20%)',
  'color: color-mix(in oklch longer hue, C, C)',
  'color: color-mix(C, C, C)',
  'color: rgb(from C r g b / 50%)',
  'color: oklch(from C calc(l + 0.1) c h)',
  'color: light-dark(C, C)',
  'color: light-dark(C)',
  'color: contrast-color(C)',
  'color: contrast-color(C, C)',
  'color: var(--x, C)',
  'background: var(--x) C',
  'border: 1px solid light-dark(C, color-mix(in srgb, C, currentColor))',
]
const colors = ['#1d5955', 'teal', 'rgb(1, 2, 3)', 'hsl(20 30% 40% / .5)', 'oklch(0.6 0.1 20)']

test('a slot is let stand just where Chromium takes the declaration', async ({ page }) => {
  const all = shapes.flatMap((shape) => colors.map((color) => shape.replace(/\bC\b/g, color)))
  const taken = await page.evaluate(
    (list) =>
      list.map((css) =>
        CSS.supports(css.slice(0, css.indexOf(':')), css.slice(css.indexOf(':') + 1)),
      ),
    all,
  )
  const wrong = all.filter((css, i) => {
    const found = readCssColors(css, 'declarationList')
    return found.some(({ bindable }) => bindable !== taken[i])
  })
  expect(wrong).toEqual([])
  const unread = all.filter(
    (css, i) => taken[i] && readCssColors(css, 'declarationList').length === 0,
  )
  expect(unread).toEqual([])
})

test('what is shown for a colour in text is what Chromium paints, outside of sRGB too', async ({
  page,
}) => {
  const n = (max: number) => fc.integer({ min: 0, max: max * 100 }).map((v) => v / 100)
  const text = fc.oneof(
    fc.tuple(n(1), n(0.4), n(360)).map(([l, c, h]) => `oklch(${l} ${c} ${h})`),
    fc.tuple(n(100), n(125), n(125)).map(([l, a, b]) => `lab(${l} ${a} -${b})`),
    fc.tuple(n(1), n(1), n(1)).map(([r, g, b]) => `color(display-p3 ${r} ${g} ${b})`),
    fc.tuple(n(360), n(250), n(100)).map(([h, s, l]) => `hsl(${h} ${s}% ${l}%)`),
    fc.tuple(n(360), n(300), n(300)).map(([h, w, b]) => `hwb(${h} ${w}% ${b}%)`),
    fc.tuple(n(360), n(300), n(60)).map(([h, s, l]) => `hsl(from teal ${h} ${s} ${l})`),
  )
  const texts = fc.sample(text, { numRuns: 900, seed: 20261126 })
  const painted = await page.evaluate((list) => {
    const canvas = new OffscreenCanvas(1, 1).getContext('2d')!
    return list.map((css) => {
      canvas.fillStyle = '#000'
      canvas.fillStyle = css
      canvas.fillRect(0, 0, 1, 1)
      return [...canvas.getImageData(0, 0, 1, 1).data].slice(0, 3)
    })
  }, texts)
  const wrong = texts.filter((css, i) => {
    const read = parseColor(css)
    if (!read.ok) return true
    const ours = toBytes(clipToGamut(read.color))
    return ours.some((byte, c) => Math.abs(byte - painted[i]![c]!) > 1)
  })
  expect(wrong).toEqual([])
  // A canvas takes no comments; styles do.
  const supported = ['/* x */ red', 'teal/**/', '/**/ /*/*/ #123'].map((css) => [
    css,
    parseColor(css).ok,
  ])
  const asChromium = await page.evaluate(
    (list) => list.map(([css]) => [css, CSS.supports('color', css as string)]),
    supported,
  )
  expect(supported).toEqual(asChromium)
})

const bits = [
  '<p style="color:#1c5a54">',
  '</p>',
  "<b style='fill:&#35;abc;color:red'>",
  '<svg fill="&num;123">',
  '</svg>',
  '<style>',
  '</style>',
  'a { color: #456 }',
  '.b > c { color: #789 }',
  '&gt; d { color: tan }',
  '<![CDATA[',
  ']]>',
  '<!--',
  '-->',
  '\r\n',
  '\r',
  '\n',
  '&amp;',
  '&',
  '\0',
  '<path stroke=teal>',
  '<td bgcolor=#abcdef>',
  '"',
  "'",
  '<',
  '>',
  '<template>',
  '</template>',
  '<math>',
  '<table>',
  '<select>',
  '{',
  '}',
  'é',
  '😀',
  '&#x72;ed',
  '&#0;',
]

test('in 4,000 broken snippets every find stands where it says', () => {
  let finds = 0
  fc.assert(
    fc.property(fc.array(fc.constantFrom(...bits), { maxLength: 24 }), (parts) => {
      const html = parts.join('')
      let end = 0
      for (const { start, text, css = text } of readHtmlColors(html)) {
        finds += 1
        expect(start).toBeGreaterThanOrEqual(end)
        end = start + text.length
        expect(html.slice(start, end)).toBe(text)
        expect(colorOf(css) ?? css).toBeTruthy()
        if (css !== text) expect(/[&\r\0]/.test(text)).toBe(true)
      }
    }),
    { numRuns: 4000 },
  )
  expect(finds).toBeGreaterThan(1000)
})

test('declarations of any text are read to its end', () => {
  fc.assert(
    fc.property(
      fc.array(fc.constantFrom(...bits, ';', ':', '(', ')', '@media', 'color')),
      (parts) => {
        readDeclarations(parts.join(' '), 'stylesheet', ({ tokens }) =>
          expect(tokens.length).toBeGreaterThan(0),
        )
      },
    ),
  )
})
