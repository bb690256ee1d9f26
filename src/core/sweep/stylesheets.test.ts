import { readdirSync, readFileSync } from 'node:fs'
import path from 'node:path'
import { demoSites } from '@demo/sites'
import * as csstree from 'css-tree'
import { applyChanges, reversed } from '../changes'
import { colorKey, colorOf } from '../color'
import { readSvgColors } from '../markup'
import { siteDocs, mostCustomCss, type Frame } from '../site'
import { readCssColors } from '../uses'
import { planInMemory } from '../wide'
import { sweepRequest } from '.'

/**
 * Stylesheets as people have them, and vector pictures: open libraries of the npm registry
 * (names and versions in package.json). What colours they hold is told by css-tree, whose
 * grammar of CSS (mdn-data) knows nothing of ours.
 */
const files = [
  'bootstrap/dist/css/bootstrap.css',
  'bootstrap/dist/css/bootstrap.min.css',
  'bulma/css/bulma.css',
  'daisyui/daisyui.css',
  'daisyui/themes.css',
  'water.css/out/water.css',
  'water.css/out/dark.min.css',
  'open-props/open-props.min.css',
  'open-props/colors.min.css',
  'tachyons/css/tachyons.css',
  'startbootstrap-creative/dist/css/styles.css',
  'startbootstrap-sb-admin/dist/css/styles.css',
  'html5-boilerplate/dist/css/style.css',
  'milligram/dist/milligram.css',
  'purecss/build/pure.css',
  'animate.css/animate.css',
  'flag-icons/css/flag-icons.css',
]

const cssOf = (file: string) => readFileSync(path.join('node_modules', file), 'utf8')

/** Words that stand for a colour and are none by themselves (CSS Color 4 §§ 6.2, 9). */
const NO_COLOR = /^(?:transparent|currentcolor|inherit|initial|unset|revert|revert-layer)$/i

/** A colour that css-tree finds: where it stands in the source. */
interface Found {
  readonly start: number
  readonly text: string
}

/** The colours of a stylesheet by css-tree: what its grammar takes for one, and in custom properties what is written as one. */
function byCssTree(css: string): Found[] {
  const found = new Map<number, string>()
  const add = (node: csstree.CssNode) => {
    const { start, end } = node.loc!
    const text = css.slice(start.offset, end.offset)
    // What is made of others is asked for those; a name has to be one of a colour.
    if (/[a-z-]+\([^)]*(?:var|calc|env)\(|^(?:var|color-mix|light-dark)\(/i.test(text)) return
    if (!NO_COLOR.test(text) && colorOf(text)) found.set(start.offset, text)
  }
  const tree = csstree.parse(css, { positions: true, parseCustomProperty: true })
  csstree.walk(tree, {
    visit: 'Declaration',
    enter(declaration) {
      const { property, value } = declaration
      if (value.type !== 'Value') return
      if (property.startsWith('--')) {
        csstree.walk(value, (node) => {
          const isColor =
            node.type === 'Hash' ||
            (node.type === 'Function' &&
              /^(?:rgba?|hsla?|hwb|lab|lch|oklab|oklch)$/i.test(node.name))
          if (isColor) add(node)
        })
        return
      }
      const match = csstree.lexer.matchProperty(property, value)
      if (match.error) return
      csstree.walk(value, (node) => {
        const isWhole = ['Hash', 'Function', 'Identifier'].includes(node.type)
        if (isWhole && match.isType(node, 'color')) add(node)
      })
    },
  })
  return [...found].map(([start, text]) => ({ start, text }))
}

const { frame } = demoSites[0]!
const docsWith = (customCss: string) => siteDocs({ ...frame, customCss })

/** A sweep of some colours in custom CSS alone. */
function swept(css: string, pairs: ReadonlyArray<readonly [from: string, to: string]>) {
  const docs = docsWith(css)
  const request = sweepRequest.parse({
    pairs: pairs.map(([value, to]) => ({ from: { value, within: 0 }, to: { value: to } })),
    scope: 'site',
    ticks: {
      rules: [
        { where: {}, take: false },
        { where: { place: 'custom-css' }, take: true },
      ],
    },
  })
  const planned = planInMemory(docs, { type: 'sweep', request })
  if (!planned.ok) throw new Error(planned.problem)
  const [record] = planned.changes
  const changes = record?.changes ?? []
  const after = applyChanges(docs.frame, changes) as Frame
  const back = applyChanges(after, reversed(changes)) as Frame
  return { count: planned.count, css: after.customCss, back: back.customCss }
}

/** The colours of some finds, the most frequent first. */
function frequent(found: readonly { readonly text: string }[]): string[] {
  const counts = new Map<string, number>()
  for (const { text } of found) {
    const color = colorOf(text)
    if (!color || color.alpha < 1) continue
    const key = colorKey(color)
    counts.set(key, (counts.get(key) ?? 0) + 1)
  }
  return [...counts].sort((a, b) => b[1] - a[1]).map(([key]) => `#${key.slice(0, 6)}`)
}

const withoutColors = (css: string, found: readonly Found[]) => {
  const parts: string[] = []
  let at = 0
  for (const { start, text } of [...found].sort((a, b) => a.start - b.start)) {
    parts.push(css.slice(at, start))
    at = start + text.length
  }
  return [...parts, css.slice(at)].join('¤')
}

test.each(files)('every colour that css-tree finds in %s is found, where it stands', (file) => {
  const css = cssOf(file)
  const ours = new Map(readCssColors(css, 'stylesheet').map((find) => [find.start, find]))
  const theirs = byCssTree(css)
  const missed = theirs.filter(({ start, text }) => ours.get(start)?.text !== text)
  expect(missed).toEqual([])
  if (!/html5|animate|flag-icons|chunks/.test(file)) expect(theirs.length).toBeGreaterThan(5)
})

test.each(files)(
  'a sweep of %s changes its colours and nothing else; back it is the same bytes',
  (file) => {
    const css = cssOf(file)
    expect(css.length).toBeLessThan(mostCustomCss)
    const [first, second] = frequent(readCssColors(css, 'stylesheet'))
    if (!first || !second) return
    const one = swept(css, [[first, '#123457']])
    expect(one.count).toBeGreaterThan(0)
    expect(one.back).toBe(css)
    const found = (text: string) => readCssColors(text, 'stylesheet')
    expect(withoutColors(one.css, found(one.css))).toBe(withoutColors(css, found(css)))
    expect(frequent(found(one.css))).not.toContain(first)
    // Two that swap do, and back again.
    const swap = [
      [first, second],
      [second, first],
    ] as const
    const once = swept(css, swap)
    expect(once.back).toBe(css)
    const twice = swept(once.css, swap)
    expect(frequent(found(twice.css))).toEqual(frequent(found(css)))
    expect(withoutColors(twice.css, found(twice.css))).toBe(withoutColors(css, found(css)))
  },
)

test('of every flag, all that is painted is found: presentation attributes, and nothing of its names', () => {
  const folder = 'node_modules/flag-icons/flags/4x3'
  const flags = readdirSync(folder)
  expect(flags.length).toBeGreaterThan(250)
  for (const flag of flags) {
    const svg = readFileSync(path.join(folder, flag), 'utf8')
    const ours = readSvgColors(svg)
    // Attributes as a pattern finds them: these files have them in double quotes.
    const painted = [
      ...svg.matchAll(/ (?:fill|stroke|stop-color|flood-color|color)="([^"]+)"/g),
    ].filter(([, value]) => !NO_COLOR.test(value!) && colorOf(value!))
    const places = new Set(ours.map(({ start }) => start))
    for (const { 0: whole, 1: value, index } of painted) {
      expect(places.has(index + whole.length - 1 - value!.length)).toBe(true)
    }
    const inStyles = [...svg.matchAll(/style="([^"]*)"/g)].flatMap(([, style]) =>
      readCssColors(style!, 'declarationList'),
    )
    const inSheets = [...svg.matchAll(/<style[^>]*>([^<]*)</g)].flatMap(([, sheet]) =>
      readCssColors(sheet!, 'stylesheet'),
    )
    expect(ours.length).toBe(painted.length + inStyles.length + inSheets.length)
  }
})
