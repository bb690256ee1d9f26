import { between, black, white, type Color } from '../color'
import { sectionFacets } from '../elements'
import { roles } from '../roles'
import { canonicalJson, paintIn, type Paint, type SiteElement, type Theme } from '../site'
import { contrastOn } from './backdrop'
import { decisionColor } from './decision'
import { groundsOn, layer } from './layers'
import { paintColors } from './paint-colors'
import { liesOver, type Spot } from './spot'
import { coloredIn, facetRole, traceFacet, type Trace } from './trace'

/** A picture may show anything: any colour reads on it as badly as on one of the greys from black to white. */
const ANYTHING = Array.from({ length: 17 }, (_, i) => between(black, white, i / 16))

/** What a header lies over, opaque: the colours of a gradient, or whatever a picture may show. */
function beneath(spot: Spot): Color[] {
  return sectionFacets.flatMap(({ key }) => {
    const fill = paintIn(spot.grounds, { key }, 'rest')
    return fill ? beneathFill(spot, fill) : []
  })
}

function beneathFill({ docs }: Spot, ownFill: Paint): Color[] {
  const { palette } = docs.frame
  const colors = paintColors(palette, ownFill)
  if (!('picture' in ownFill)) return layer(colors, [white])
  const shown = layer([...ANYTHING, ...colors], [white])
  return ownFill.tint ? layer([decisionColor(palette, ownFill.tint)], shown) : shown
}

/** The opaque colours that a header shows that lies over something, with so much of its ground between. */
function veiled(spot: Spot, below: readonly Color[], veil: number): Color[] {
  const ground = decisionColor(spot.docs.frame.palette, spot.theme.roles.ground)
  return layer([{ ...ground, alpha: ground.alpha * veil }], below)
}

interface Mark {
  readonly element: SiteElement
  readonly trace: Trace
  readonly color: Color
  readonly needs: number
}

/** Everything in a section that has to hold a contrast, at rest and under the pointer. */
function marksIn(spot: Spot): Mark[] {
  return coloredIn(spot).flatMap(({ element, facet }) => {
    const { needs } = roles[facetRole(facet, element)]
    if (!element || facet.paints === 'fill' || !needs) return []
    return (['rest', 'hover'] as const).flatMap((state): Mark[] => {
      const trace = traceFacet(spot, element, facet, state)
      const colors = paintColors(spot.docs.frame.palette, trace.paint)
      return colors.map((color) => ({ element, trace, color, needs }))
    })
  })
}

function leastVeil(spot: Spot): number {
  const below = beneath(spot)
  const readsThrough = (veil: number) => {
    const section = veiled(spot, below, veil)
    return ({ element, trace, color, needs }: Mark) =>
      groundsOn(section, spot, element, trace).every(
        (backdrop) => contrastOn(color, backdrop) >= needs,
      )
  }
  // What cannot be read on the ground itself is not made readable by more of it.
  const marks = marksIn(spot).filter(readsThrough(1))
  const reads = (percent: number) => marks.every(readsThrough(percent / 100))
  // By tens, then back by ones.
  let percent = 0
  while (percent < 100 && !reads(percent)) percent += 10
  while (percent > 0 && reads(percent - 1)) percent -= 1
  return percent / 100
}

/** Veils by all that a search looks at: palette, theme, styles and header, as the objects that they are; then by what lies under. */
type Veils = Map<string, number>
const known = new WeakMap<object, WeakMap<object, unknown>>()

function veilsFor({ docs: { frame }, theme }: Spot): Veils {
  let level = known as WeakMap<object, unknown>
  for (const on of [frame.palette, theme, frame.styles]) {
    const next = (level.get(on) as WeakMap<object, unknown> | undefined) ?? new WeakMap()
    level.set(on, next)
    level = next
  }
  const veils = (level.get(frame.body) as Veils | undefined) ?? new Map<string, number>()
  level.set(frame.body, veils)
  return veils
}

/**
 * How much of its theme's ground a blending header lays between itself and the
 * gradient or picture under it: alpha 0…1 in hundredths, the least with which
 * everything in it that can be read on the ground holds WCAG 2.2 AA, in both
 * editions where the site has two. 0 where it needs none or does not lie over
 * anything; 1 where only the ground itself will do.
 */
export function veilOf(spot: Spot): number {
  if (!liesOver(spot)) return 0
  const { docs, theme } = spot
  const veils = veilsFor(spot)
  const key = `${spot.section.id} ${docs.frame.edition} ${canonicalJson(spot.grounds)}`
  const made = veils.get(key)
  if (made !== undefined) return made
  const editions: Theme[] =
    docs.frame.edition !== 'light' && theme.dark
      ? [theme, { ...theme, roles: theme.dark }]
      : [theme]
  const veil = Math.max(...editions.map((edition) => leastVeil({ ...spot, theme: edition })))
  veils.set(key, veil)
  return veil
}

/** The opaque colours that a header shows that lies over a gradient or a picture, its veil between. */
export function veiledGrounds(spot: Spot): Color[] {
  return veiled(spot, beneath(spot), veilOf(spot))
}
