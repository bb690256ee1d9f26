import fc from 'fast-check'
import { demoSites } from '@demo/sites'
import { applyChanges } from '../changes'
import { readSvgColors } from '../markup'
import type { Frame } from '../site'
import { usesInFrame } from '../uses'
import { changesOfHits, planSweep } from './plan'
import type { SweepRequest } from './pair'

const [tern] = demoSites
const withCss = (customCss: string): Frame => ({ ...tern!.frame, customCss })
const swap: SweepRequest = {
  pairs: [
    { from: { value: '#1c5a54', within: 0 }, to: { value: 'red' } },
    { from: { value: 'red', within: 0 }, to: { value: '#1c5a54' } },
  ],
  scope: 'site',
}

/** Custom CSS after a sweep. */
function swept(css: string): string {
  const frame = withCss(css)
  const uses = usesInFrame(frame, readSvgColors).filter(({ place }) => place === 'custom-css')
  return applyChanges(
    frame,
    changesOfHits(planSweep(frame.palette, uses, swap), () => frame),
  )!.customCss
}

const held = (svg: string) =>
  `url(data:image/svg+xml;base64,${Buffer.from(svg).toString('base64')})`
const plain = (svg: string) =>
  `url("data:image/svg+xml,${encodeURIComponent(svg).replaceAll("'", '%27')}")`

const color = fc.constantFrom('#1c5a54', 'red', '#1C5A54', 'rgb(28, 90, 84)', 'tan')
const picture = fc
  .tuple(
    fc.array(color, { minLength: 1, maxLength: 6 }),
    fc.constantFrom('', 'é', '😀 red', '#1c5a54'),
  )
  .map(([colors, words]) => ({
    colors,
    svg: (list: readonly string[]) =>
      `<svg>${list.map((each) => `<g fill="${each}"/>`).join(words)}<title>${words}</title></svg>`,
  }))

const other: Readonly<Record<string, string>> = {
  '#1c5a54': '#ff0000',
  '#1C5A54': '#FF0000',
  red: '#1c5a54',
  'rgb(28, 90, 84)': 'rgb(255, 0, 0)',
  tan: 'tan',
}

test('colours of pictures in addresses are exchanged there, whichever way their characters stand, and not one other byte', () => {
  fc.assert(
    fc.property(fc.array(picture, { minLength: 1, maxLength: 3 }), (pictures) => {
      for (const write of [held, plain]) {
        const css = (of: (color: string) => string) =>
          pictures
            .map(({ svg, colors }, i) => `.a${i} { background: ${write(svg(colors.map(of)))} }`)
            .join('\n')
        expect(swept(css((each) => each))).toBe(css((each) => other[each]!))
      }
    }),
  )
})
