import sanitize from 'sanitize-html'
import { withinSite } from '../css'
import { withEntities } from './entities'
import { staysHere } from './references'
import { drawnElements, mostDrawn } from './svg-expansion'
import { SVG, unprefixed } from './svg-prefix'

/** Largest vector picture, in characters, and how deep its elements may stand in one another. */
export const mostSvg = 2_000_000
const DEEPEST = 200

const TAGS = (
  'svg g defs symbol use switch title desc path circle ellipse rect line polyline polygon ' +
  'text tspan textPath linearGradient radialGradient stop clipPath mask pattern marker image style filter ' +
  'feBlend feColorMatrix feComponentTransfer feComposite feConvolveMatrix feDiffuseLighting ' +
  'feDisplacementMap feDistantLight feDropShadow feFlood feFuncA feFuncB feFuncG feFuncR ' +
  'feGaussianBlur feMerge feMergeNode feMorphology feOffset fePointLight feSpecularLighting feSpotLight ' +
  'feTile feTurbulence'
).split(' ')

const ATTRIBUTES = (
  'id class style d x y x1 x2 y1 y2 cx cy r rx ry fx fy dx dy width height points viewBox ' +
  'preserveAspectRatio version xmlns xmlns:xlink xml:space transform gradientTransform gradientUnits ' +
  'patternTransform patternUnits patternContentUnits clipPathUnits maskUnits maskContentUnits ' +
  'filterUnits primitiveUnits markerWidth markerHeight markerUnits orient refX refY spreadMethod fr ' +
  'offset href xlink:href requiredExtensions requiredFeatures systemLanguage pathLength ' +
  'fill fill-opacity fill-rule stroke stroke-width stroke-opacity stroke-linecap stroke-linejoin ' +
  'stroke-miterlimit stroke-dasharray stroke-dashoffset stop-color stop-opacity opacity color display ' +
  'visibility overflow clip-path clip-rule mask mask-type marker-start marker-mid marker-end filter ' +
  'paint-order vector-effect shape-rendering text-rendering image-rendering color-interpolation ' +
  'transform-origin font-family font-size font-style font-weight font-variant font-stretch ' +
  'letter-spacing word-spacing text-anchor text-decoration writing-mode dominant-baseline ' +
  'alignment-baseline baseline-shift rotate textLength lengthAdjust startOffset method spacing side ' +
  'role aria-label in in2 result stdDeviation mode operator k1 k2 k3 k4 values type tableValues slope ' +
  'intercept amplitude exponent radius flood-color flood-opacity lighting-color ' +
  'color-interpolation-filters baseFrequency numOctaves seed stitchTiles scale xChannelSelector ' +
  'yChannelSelector order kernelMatrix divisor bias targetX targetY edgeMode preserveAlpha surfaceScale ' +
  'diffuseConstant specularConstant specularExponent azimuth elevation z pointsAtX pointsAtY pointsAtZ ' +
  'limitingConeAngle'
).split(' ')

/** Pictures of pixels that a vector picture holds itself. */
const HELD = /^data:(image\/(?:png|jpe?g|webp))?;base64,([A-Za-z0-9+/=\s]+)$/
/** How their files begin, in base64, for where nothing says what they are. */
const BEGINNINGS = { iVBORw0KGgo: 'image/png', '/9j/': 'image/jpeg', UklGR: 'image/webp' } as const

function heldPicture(address: string): string | undefined {
  const [, type, bytes] = HELD.exec(address) ?? []
  if (type) return address
  if (!bytes) return undefined
  const begins = Object.entries(BEGINNINGS).find(([beginning]) => bytes.startsWith(beginning))
  return begins && `data:${begins[1]};base64,${bytes}`
}

const nowhere = () => undefined

/** Nesting and ranges of widths are written with characters that mean something else to XML. */
const escaped = (css: string) => css.replaceAll('&', '&amp;').replaceAll('<', '&lt;')

/** What an attribute may say; undefined where it may not stand. */
function attribute(tag: string, name: string, value: string): string | undefined {
  // What says nothing would be written without its quotes, and the file read by nobody.
  if (value === '') return undefined
  if (name === 'xmlns') return SVG
  if (name === 'xmlns:xlink') return 'http://www.w3.org/1999/xlink'
  if (name === 'href' || name === 'xlink:href') {
    if (value.startsWith('#')) return value
    return tag === 'image' ? heldPicture(value) : undefined
  }
  if (name === 'style') return withinSite(value, nowhere) || undefined
  return staysHere(value) ? value : undefined
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
  const nameOf = unprefixed(text)
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
      '*': (given, attribs) => {
        const name = nameOf(given)
        // A link leads nowhere from a picture; what is set of it holds for what stands in it.
        const tagName = name === 'a' ? 'g' : name
        const kept = Object.entries(attribs).flatMap(([name, value]) => {
          const own = attribute(tagName, name, value)
          return own === undefined ? [] : [[name, own] as const]
        })
        // A file without it would be no picture.
        const named = tagName === 'svg' ? [['xmlns', SVG] as const] : []
        return { tagName, attribs: Object.fromEntries([...named, ...kept]) }
      },
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
      `<style${attributes}>${escaped(withinSite(css, nowhere))}</style>`,
  )
}

/**
 * A vector picture with what it may hold: shapes, words, gradients and its own style sheet;
 * nothing that runs, moves or loads from elsewhere. Undefined where the text is none, is too
 * long or too deep to be one, would come to too many elements when its references are followed,
 * or is one thing to one reader and another to the next.
 */
export function cleanSvg(text: string): string | undefined {
  const whole = withEntities(text, mostSvg)
  if (whole === undefined || isTooDeep(whole)) return undefined
  let clean = cleanOnce(whole)
  for (let pass = 1; pass < MOST_PASSES && clean !== undefined; pass += 1) {
    const next = cleanOnce(clean)
    if (next === clean) return drawnElements(clean) > mostDrawn ? undefined : clean
    clean = next
  }
  return undefined
}
