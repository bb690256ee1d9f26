import { readFileSync } from 'node:fs'
import { parse } from 'css-tree'
import { applyChanges } from '@/core/changes'
import { readPalette } from '@/core/formats'
import { changesOfHits, planSweep } from '@/core/sweep'
import { readHtmlColors } from '@/core/markup'
import { usesInFrame } from '@/core/uses'
import { demoSites } from '@demo/sites'

const SIZES = [1, 2, 4, 8]
const { frame } = demoSites[0]!

const filled = (piece: string, megabytes: number) =>
  piece.repeat(Math.ceil((megabytes * 1e6) / piece.length))

const sheet = `.card .price { color: #1c5a54; border: 1px solid rgb(28 90 84); }
  .card { .title { background: linear-gradient(90deg, teal, #dce5e0 100%) } }\n`

/** Real stylesheets, again and again: of many colours, and of long selectors and few colours, all in one line. */
const real = {
  'Bulma 1.0': readFileSync('node_modules/bulma/css/bulma.css', 'utf8'),
  'daisyUI 5.8': readFileSync('node_modules/daisyui/daisyui.css', 'utf8'),
}

const withCss = (customCss: string) => ({ ...frame, customCss })

/** What is read by its length; each is timed at 1, 2, 4 and 8 MB. */
const readings: ReadonlyArray<readonly [string, (megabytes: number) => () => void]> = [
  [
    'custom CSS → uses, lines of their own',
    (size) => {
      const css = withCss(filled(sheet, size))
      return () => usesInFrame(css)
    },
  ],
  [
    'custom CSS → uses, all in one line',
    (size) => {
      const css = withCss(filled(sheet.replaceAll('\n', ' '), size))
      return () => usesInFrame(css)
    },
  ],
  [
    'snippet → colours',
    (size) => {
      const html = filled(
        '<p style="color:&#35;1c5a54;margin:0">x</p><svg fill=teal></svg>\r\n',
        size,
      )
      return () => readHtmlColors(html)
    },
  ],
  [
    'pasted custom properties',
    (size) => {
      let n = 0
      const css = filled('--N: var(--M); ', size / 2).replace(
        /[NM]/g,
        (at) => `a${at === 'N' ? n++ : n}`,
      )
      return () => readPalette(`:root { ${css} --a${n}: #123 }`)
    },
  ],
  [
    'sweep: planned and carried out in one text',
    (size) => {
      // At most 100,000 changes go into one sweep: the text between them grows.
      const css = withCss(filled(`.a { color: #1c5a54; margin: 0 }${' '.repeat(90)}\n`, size))
      return () => {
        const request = {
          pairs: [{ from: { value: '#1c5a54', within: 0 }, to: { value: '#334455' } }],
          scope: 'site' as const,
        }
        applyChanges(
          css,
          changesOfHits(planSweep(css.palette, usesInFrame(css), request), () => css),
        )
      }
    },
  ],
]

function timed(work: () => void): number {
  const start = performance.now()
  work()
  return performance.now() - start
}

/**
 * Colours of real stylesheets beside what css-tree takes to parse as much, values included: of Bulma,
 * in which it finds no fault, for at each fault it looks through the whole text.
 */
function againstParser(): void {
  for (const size of SIZES) {
    const plain = filled(real['Bulma 1.0'], size)
    const parsed = () => timed(() => parse(plain))
    const theirs = Math.min(parsed(), parsed(), parsed())
    for (const [name, sheet] of Object.entries(real)) {
      const asked = withCss(filled(sheet, size))
      // The reader remembers the sheet that it read last.
      const read = () => (usesInFrame(withCss('')), timed(() => usesInFrame(asked)))
      const ours = Math.min(read(), read(), read())
      console.log(
        `${`${size} MB of ${name}: uses / css-tree’s parse`.padEnd(56)} ${ours.toFixed(0).padStart(6)} ${theirs.toFixed(0).padStart(6)} ms  ×${(ours / theirs).toFixed(2)} (at most 2)`,
      )
    }
  }
}

/** Time by length: twice the text takes about twice the time. */
export function benchReading(): void {
  console.log('\nReading texts, ms (and how much more than half of it takes)')
  console.log(`${''.padEnd(44)}${SIZES.map((size) => `${size} MB`.padStart(16)).join('')}`)
  for (const [told, prepare] of readings) {
    prepare(0.2)()
    const times = SIZES.map((size) => {
      const work = prepare(size)
      return Math.min(timed(work), timed(work))
    })
    const cells = times.map((time, i) => {
      const more = i ? ` ×${(time / times[i - 1]!).toFixed(1)}` : ''
      return `${time.toFixed(0)}${more}`.padStart(16)
    })
    console.log(`${told.padEnd(44)}${cells.join('')}`)
  }
  againstParser()
}
