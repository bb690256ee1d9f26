import { kindIds, kindOf, sectionCss } from '../elements'
import type { Frame } from '../site'
import { writeRules } from './css-names'
import { kindColorRules } from './facet-css'
import { fontsOf, fontStack } from './fonts'

/** Shape of the page as such; no rule here names a colour but the ring that keyboards need. */
const pageCss = `
*, ::before, ::after { box-sizing: border-box; }
html { -webkit-text-size-adjust: 100%; }
body { margin: 0; font-family: var(--font-body); font-weight: var(--weight-body); font-size: var(--font-size); line-height: 1.6; }
a { color: inherit; }
:focus-visible { outline: 2px solid; outline-offset: 2px; }
a:where(.link, .navigation-link, .wordmark):focus-visible { outline-color: var(--role-focus); }
:is(.main-button, .quiet-button, .field):disabled { opacity: 0.5; cursor: not-allowed; }
:is(.main-button, .quiet-button):active { transform: translateY(1px); }
@media (prefers-reduced-motion: no-preference) {
  .main-button, .quiet-button, .link, .navigation-link { transition: background-color 0.12s, color 0.12s, border-color 0.12s; }
}`

const px = (value: number) => `${value}px`

/** Site-wide fonts and shapes as custom properties. */
export function settingsCss({ type, layout }: Frame): string {
  return writeRules([
    {
      selector: ':root',
      declarations: [
        ['--font-heading', fontStack(type.heading.family)],
        ['--weight-heading', String(type.heading.weight)],
        ['--font-body', fontStack(type.body.family)],
        ['--weight-body', String(type.body.weight)],
        ['--font-size', px(type.size)],
        ['--width-content', px(layout.contentWidth)],
        ['--space-section', px(layout.sectionSpace)],
        ['--space-side', `clamp(20px, 4vw, ${px(layout.sideSpace)})`],
        ['--button-radius', px(layout.buttonRadius)],
        ['--button-line', px(layout.buttonLine)],
        ['--button-pad-y', px(layout.buttonPad[0])],
        ['--button-pad-x', px(layout.buttonPad[1])],
        ['--card-radius', px(layout.cardRadius)],
        ['--card-line', px(layout.cardLine)],
        ['--picture-radius', px(layout.pictureRadius)],
        ['--field-radius', px(layout.fieldRadius)],
      ],
    },
  ])
}

export function fontCss({ type }: Frame, fontUrl: (file: string) => string): string {
  return fontsOf([type.heading.family, type.body.family])
    .map(
      ({ family, file, weights }) =>
        `@font-face { font-family: "${family}"; src: url("${fontUrl(file)}") format("woff2"); font-weight: ${weights}; font-display: swap; }\n`,
    )
    .join('')
}

/** Shapes and role colours of all kinds: the part of the stylesheet that no decision changes. */
export function kindsCss(): string {
  const shapes = [pageCss, sectionCss, ...kindIds.map((id) => kindOf(id).css)]
  return `${shapes
    .map((css) => css.trim())
    .filter(Boolean)
    .join('\n')}\n${writeRules(kindColorRules())}`
}
