import { kindClass, kindIds, kindOf, sectionCss } from '../elements'
import type { Frame } from '../site'
import { writeRules } from './css-names'
import { fontFile, fontsOf, subsets, typefacesOf, type SiteFont, type Subset } from './fonts'
import { kindColorRules, kindFeatureRules } from './property-css'
import { settingProperties } from './setting-css'
import type { Whereabouts } from './whereabouts'

/** Shape of the page as such; no rule here names a colour but the ring that keyboards need. */
const pageCss = `
*, ::before, ::after { box-sizing: border-box; }
html { -webkit-text-size-adjust: 100%; }
body { margin: 0; font-family: var(--font-body); font-weight: var(--weight-body); font-size: var(--font-size); line-height: var(--leading-body); }
a { color: inherit; }
:focus-visible { outline: 2px solid var(--role-focus, currentColor); outline-offset: 2px; }
:is(.main-button, .quiet-button, .field):disabled { cursor: not-allowed; }
.field:disabled { opacity: 0.5; }
:is(.main-button, .quiet-button):active { transform: translateY(1px); }
@media (prefers-reduced-motion: reduce) { *, ::before, ::after { transition-duration: 0s !important; } }`

/** Site-wide typefaces and shapes as custom properties. */
export function settingsCss({ settings }: Frame): string {
  return writeRules([{ selector: ':root', declarations: settingProperties(settings) }])
}

const faceCss = (font: SiteFont, subset: Subset, fontUrl: (file: string) => string): string =>
  `@font-face { font-family: "${font.family}"; src: url("${fontUrl(fontFile(font, subset))}") format("woff2"); font-weight: ${font.weights.join(' ')}; font-display: swap; unicode-range: ${subsets[subset]}; }\n`

/** The rules that let pages use typefaces that ship with us: each part is fetched where its characters stand. */
export const typefaceCss = (
  fonts: readonly SiteFont[],
  fontUrl: (file: string) => string,
): string =>
  fonts
    .flatMap((font) =>
      (Object.keys(subsets) as Subset[]).map((subset) => faceCss(font, subset, fontUrl)),
    )
    .join('')

/** A name as CSS text holds it: nothing in it can end the text. */
const named = (family: string) => family.replaceAll(/["\\\n\r\f<]/g, ' ')

/** The rules for fonts of a site’s own, those of its faces alone. */
function ownCss(frame: Frame, { fonts = {}, ownFont }: Whereabouts): string {
  const used = typefacesOf(frame)
  return Object.values(fonts)
    .filter(({ family }) => used.includes(family))
    .flatMap((font) =>
      (ownFont?.(font) ?? []).map(
        ({ url, range }) =>
          `@font-face { font-family: "${named(font.family)}"; src: url("${url}") format("woff2"); font-weight: ${font.weights.join(' ')}; font-style: ${font.style}; font-display: swap;${range ? ` unicode-range: ${range};` : ''} }\n`,
      ),
    )
    .join('')
}

/** Typefaces that pages use: those that ship with us, and the site’s own; what it has itself comes last and counts. */
export const fontCss = (frame: Frame, where: Whereabouts): string =>
  typefaceCss(fontsOf(typefacesOf(frame)), where.fontUrl) + ownCss(frame, where)

/** What changes softly in anything that has a duration for it. */
const CHANGING =
  'background-color, color, border-color, border-radius, box-shadow, opacity, text-decoration-color'

function movingCss(): string {
  const moving = kindIds.flatMap((id) =>
    (kindOf(id).features ?? [])
      .filter(({ trait }) => trait === 'duration')
      .map(({ part }) => `.${part ?? kindClass(id)}`),
  )
  return `:where(${[...new Set(moving)].join(', ')}) { transition-property: ${CHANGING}; }`
}

/** Shapes and colours of all kinds where nobody decided them: the part of the stylesheet that no decision changes. */
export function kindsCss(): string {
  const shapes = [pageCss, movingCss(), sectionCss, ...kindIds.map((id) => kindOf(id).css)]
  return `${shapes
    .map((css) => css.trim())
    .filter(Boolean)
    .join('\n')}\n${writeRules([...kindColorRules(), ...kindFeatureRules()])}`
}
