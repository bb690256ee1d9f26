import sanitize from 'sanitize-html'
import { withinSite } from '../css'

/** Largest vector picture, in characters, and how deep its elements may stand in one another. */
export const mostSvg = 2_000_000
const DEEPEST = 200

const TAGS = (
  'svg g defs symbol use title desc path circle ellipse rect line polyline polygon text tspan ' +
  'linearGradient radialGradient stop clipPath mask pattern marker image style filter ' +
  'feBlend feColorMatrix feComponentTransfer feComposite feFlood feFuncA feFuncB feFuncG feFuncR ' +
  'feGaussianBlur feMerge feMergeNode feMorphology feOffset'
).split(' ')

const ATTRIBUTES = (
  'id class style d x y x1 x2 y1 y2 cx cy r rx ry fx fy dx dy width height points viewBox ' +
  'preserveAspectRatio version xmlns xmlns:xlink xml:space transform gradientTransform gradientUnits ' +
  'patternTransform patternUnits patternContentUnits clipPathUnits maskUnits maskContentUnits ' +
  'markerWidth markerHeight markerUnits orient refX refY spreadMethod offset href xlink:href ' +
  'fill fill-opacity fill-rule stroke stroke-width stroke-opacity stroke-linecap stroke-linejoin ' +
  'stroke-miterlimit stroke-dasharray stroke-dashoffset stop-color stop-opacity opacity color display ' +
  'visibility clip-path clip-rule mask marker-start marker-mid marker-end filter font-family font-size ' +
  'font-style font-weight letter-spacing text-anchor dominant-baseline role aria-label ' +
  'in in2 result stdDeviation mode operator k1 k2 k3 k4 values type tableValues slope intercept ' +
  'amplitude exponent radius flood-color flood-opacity color-interpolation-filters'
).split(' ')

/** Pictures of pixels that a vector picture holds itself. */
const HELD = /^data:image\/(?:png|jpeg|webp);base64,[A-Za-z0-9+/=\s]+$/

const nowhere = () => undefined

/** What an attribute may say; undefined where it may not stand. */
function attribute(tag: string, name: string, value: string): string | undefined {
  if (name === 'xmlns') return 'http://www.w3.org/2000/svg'
  if (name === 'xmlns:xlink') return 'http://www.w3.org/1999/xlink'
  if (name === 'href' || name === 'xlink:href') {
    const isHere = /^#[\w.-]+$/.test(value)
    return isHere || (tag === 'image' && HELD.test(value)) ? value : undefined
  }
  if (name === 'style') return withinSite(value, nowhere)
  // An address in a presentation attribute leads to a part of the picture itself.
  const isHere = !/url\s*\(|\\/i.test(value) || /^url\(\s*["']?#[\w.-]+["']?\s*\)$/i.test(value)
  return isHere ? value : undefined
}

function isTooDeep(text: string): boolean {
  let depth = 0
  for (const [tag] of text.matchAll(/<\/?[A-Za-z][^>]*>/g)) {
    if (tag.startsWith('</')) depth -= 1
    else if (!tag.endsWith('/>')) depth += 1
    if (depth > DEEPEST) return true
  }
  return false
}

/** Passes until nothing changes any more; what a style sheet let out is caught by the next one. */
const MOST_PASSES = 10

function cleanOnce(text: string): string | undefined {
  const clean = sanitize(text, {
    allowedTags: TAGS,
    allowedAttributes: { '*': ATTRIBUTES },
    // What hrefs lead to is asked below, by where they stand.
    allowedSchemes: ['data'],
    allowedSchemesAppliedToAttributes: [],
    allowVulnerableTags: true,
    parseStyleAttributes: false,
    nonTextTags: ['script', 'foreignObject', 'iframe', 'object', 'embed', 'textarea', 'noscript'],
    transformTags: {
      '*': (tagName, attribs) => ({
        tagName,
        attribs: Object.fromEntries(
          Object.entries(attribs).flatMap(([name, value]) => {
            const kept = attribute(tagName, name, value)
            return kept === undefined ? [] : [[name, kept]]
          }),
        ),
      }),
    },
    parser: {
      xmlMode: true,
      lowerCaseTags: false,
      lowerCaseAttributeNames: false,
      decodeEntities: true,
    },
  })
  const root = /<svg[\s>][\s\S]*<\/svg>/.exec(clean)?.[0]
  return root?.replaceAll(
    /<style([^>]*)>([\s\S]*?)<\/style>/g,
    (_all, attributes: string, css: string) =>
      `<style${attributes}>${withinSite(css, nowhere).replaceAll(/[<&]/g, '')}</style>`,
  )
}

/**
 * A vector picture with what it may hold: shapes, words, gradients and its own style sheet;
 * nothing that runs, moves or loads from elsewhere. Undefined where the text is none, is too
 * long or too deep to be one, or is one thing to one reader and another to the next.
 */
export function cleanSvg(text: string): string | undefined {
  if (text.length > mostSvg || isTooDeep(text)) return undefined
  let clean = cleanOnce(text)
  for (let pass = 1; pass < MOST_PASSES && clean !== undefined; pass += 1) {
    const next = cleanOnce(clean)
    if (next === clean) return clean
    clean = next
  }
  return undefined
}
