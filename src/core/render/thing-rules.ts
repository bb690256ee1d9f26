import {
  baseSelector,
  baseStyle,
  baseStyles,
  isFeature,
  positionOf,
  propertiesOf,
  sectionFacets,
  sectionFeatures,
  type NamedBase,
  type StyledKind,
} from '../elements'
import { liesOver, spotsOnPage, styleChain, veilOf } from '../resolve'
import { own, type Body, type Frame, type PageId, type SiteDocs } from '../site'
import { roleProperty, type CssRule } from './css-names'
import type { PictureFile } from './paint-css'
import { gradientWords, lookRules } from './property-css'
import type { Whereabouts } from './whereabouts'

/** The files of pictures as grounds. */
const filesOf =
  ({ pictures, assetUrl }: Whereabouts) =>
  (id: string): PictureFile => ({
    url: assetUrl(id),
    position: positionOf(own(pictures, id)?.focus),
  })

/** Of each kind, the words that some style fills with a gradient. */
function filledByStyles({ styles }: Pick<Frame, 'styles'>): (kind: StyledKind) => string[] {
  const filled = Object.values(styles).flatMap(({ id, kind, looks }) => {
    const of = baseStyle(id)?.kind ?? kind
    return gradientWords(propertiesOf(of), looks).map((key) => ({ of, key }))
  })
  return (kind) => filled.filter(({ of }) => of === kind).map(({ key }) => key)
}

/** What the elements of a body decide, each for itself. */
export function bodyRules(body: Body, frame: Pick<Frame, 'styles'>, where: Whereabouts): CssRule[] {
  const filled = filledByStyles(frame)
  return Object.values(body.elements)
    .sort((a, b) => (a.id < b.id ? -1 : 1))
    .flatMap(({ id, kind, looks }) =>
      lookRules(`[data-el="${id}"]`, propertiesOf(kind), looks, filesOf(where), filled(kind)),
    )
}

/** The styles that inherit from one, itself included, and how far each lies from the first: made once for all of them. */
function styleTree(styles: Frame['styles']) {
  const heirs = new Map<string, string[]>()
  const depths = new Map<string, number>()
  for (const { id } of Object.values(styles)) {
    const chain = styleChain(styles, id)
    depths.set(id, chain.length)
    for (const { id: above } of chain) heirs.set(above, [...(heirs.get(above) ?? []), id])
  }
  return { heirs, depths }
}

/** What base styles are decided to be, in the order of the kinds; what several kinds have in common first. */
function baseRules(
  { styles }: Frame,
  filled: ReturnType<typeof filledByStyles>,
  where: Whereabouts,
): CssRule[] {
  return [...baseStyles].sort(commonFirst).flatMap((base) => {
    const looks = own(styles, base.id)?.looks
    const properties = propertiesOf(base.kind)
    // The ground of sections is their theme's.
    const shared = base.kind === 'section' ? properties.filter(isFeature) : properties
    const selector = baseSelector(base.kind, base)
    return lookRules(selector, shared, looks, filesOf(where), filled(base.kind))
  })
}

const commonFirst = (a: NamedBase, b: NamedBase) =>
  Number(b.kind === 'link') - Number(a.kind === 'link')

/** What element styles decide, those that others inherit from first. */
export function styleRules(frame: Frame, where: Whereabouts): CssRule[] {
  const { heirs, depths } = styleTree(frame.styles)
  const filled = filledByStyles(frame)
  const given = Object.values(frame.styles)
    .filter(({ id }) => !baseStyle(id))
    .sort((a, b) => depths.get(a.id)! - depths.get(b.id)! || (a.id < b.id ? -1 : 1))
    .flatMap(({ id, kind, looks }) => {
      const names = heirs.get(id)!.map((heir) => `.style-${heir}`)
      const root = names.length === 1 ? names[0]! : `:is(${names.join(', ')})`
      return lookRules(root, propertiesOf(kind), looks, filesOf(where), filled(kind))
    })
  return [...baseRules(frame, filled, where), ...given]
}

/**
 * Fills of sections as they lie on this page. A blending header repeats the one
 * under it, or lets it through a veil of its ground that keeps its words readable.
 */
export function sectionRules(docs: SiteDocs, page: PageId, where: Whereabouts): CssRule[] {
  return spotsOnPage(docs, page).flatMap((spot) => {
    const { section } = spot
    const selector = `[data-section="${section.id}"]`
    const files = filesOf(where)
    const features = lookRules(selector, sectionFeatures, section.looks, files)
    if (liesOver(spot)) {
      const veil = Math.round(veilOf(spot) * 100)
      const ground = veil
        ? `color-mix(in srgb, var(${roleProperty('ground')}) ${veil}%, transparent)`
        : 'none'
      return [{ selector, declarations: [['background', ground] as const] }, ...features]
    }
    return [...lookRules(selector, sectionFacets, spot.grounds, files), ...features]
  })
}
