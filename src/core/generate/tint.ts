import { writeHex } from '../color'
import type { Facet } from '../elements'
import {
  decisionColor,
  readingOf,
  traceFacet,
  varyingUnder,
  type Ground,
  type Sight,
  type Spot,
} from '../resolve'
import {
  canonicalJson,
  isBound,
  type ColorDecision,
  type PicturePaint,
  type SiteElement,
  type State,
} from '../site'

/** A picture with so much of a colour over it that something reads on it, and where that is decided. */
export interface Tinted {
  readonly ground: Ground
  readonly paint: PicturePaint & { readonly tint: ColorDecision }
  /** How much of the tint's colour lies over the picture, in per cent. */
  readonly percent: number
  /** The lowest ratio with it. */
  readonly ratio: number
}

/** Tints go by so many per cent. */
const STEP = 5
/** What is less to be seen through than this hides the picture. */
const MOST = 90

/** A colour with another alpha; bound to its slot where it is. */
function withAlpha(spot: Spot, decision: ColorDecision, alpha: number): ColorDecision {
  const { palette } = spot.docs.frame
  if (!isBound(decision)) {
    return { value: writeHex({ ...decisionColor(palette, decision), alpha }) }
  }
  const { alpha: _was, ...shade } = decision.shade ?? {}
  const whole = { slot: decision.slot, ...(Object.keys(shade).length ? { shade } : {}) }
  const points = Math.round((alpha - decisionColor(palette, whole).alpha) * 100)
  return points === 0 ? whole : { slot: decision.slot, shade: { ...shade, alpha: points } }
}

const isPicture = ({ trace: { paint } }: Ground) => 'picture' in paint

/**
 * The least tint over the nearest picture with which something reads on it, in all the spots: in the
 * picture's own tint, or in the ground of the theme, which its words are made for. Undefined where no
 * picture lies under it, or where one would have to be hidden.
 */
export function tintFor(
  spots: readonly [Spot, ...Spot[]],
  element: SiteElement,
  facet: Facet,
  state: State,
  standing?: Sight['standing'],
): Tinted | undefined {
  const [shown] = spots
  const traceIn = (spot: Spot) => traceFacet(spot, element, facet, state)
  const ground = varyingUnder(shown, element, traceIn(shown), standing).find(isPicture)
  if (!ground) return undefined
  const paint = ground.trace.paint as PicturePaint
  const ratioWith = (instead: PicturePaint) => {
    const sight = { standing, instead: { ground, paint: instead } }
    return Math.min(
      ...spots.map((spot) => readingOf(spot, element, traceIn(spot), sight)?.ratio ?? 0),
    )
  }
  const needs = readingOf(shown, element, traceIn(shown))?.needs ?? 0
  const bases = [paint.tint, shown.theme.roles.ground].flatMap((base) => base ?? [])
  for (const base of bases) {
    for (let percent = STEP; percent <= MOST; percent += STEP) {
      const tint = withAlpha(shown, base, percent / 100)
      if (canonicalJson(tint) === canonicalJson(paint.tint ?? null)) continue
      const tinted = { ...paint, tint }
      const ratio = ratioWith(tinted)
      if (ratio >= needs) return { ground, paint: tinted, percent, ratio }
    }
  }
  return undefined
}
