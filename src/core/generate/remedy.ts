import type { Facet } from '../elements'
import {
  contrastOn,
  decisionColor,
  groundsUnder,
  readingOf,
  themeReading,
  traceFacet,
  type Reading,
  type Sight,
  type Spot,
} from '../resolve'
import type { RoleId } from '../roles'
import { isColor, type ColorDecision, type Paint, type SiteElement, type State } from '../site'
import { nearestChoices, readableChoices, type ReadableChoice } from './fixes'
import { tintFor, type Tinted } from './tint'

/** What would make one colour on a page readable, and where it would be decided. */
export interface Remedy {
  readonly reading: Reading
  /** The role of the theme, where it is the theme that does not read; else the element alone is meant. */
  readonly role?: RoleId
  /** Empty where no one colour of the palette reads on all that lies under it. */
  readonly choices: readonly ReadableChoice[]
  /** Where it stands on a picture: the least tint over that with which it reads. */
  readonly tinted?: Tinted
}

/** The colour that others are to be near to: of a gradient its first. */
const startOf = (paint: Paint): ColorDecision =>
  isColor(paint) ? paint : 'gradient' in paint ? paint.stops[0]!.color : paint.under

/**
 * The remedy for a colour of an element that does not read where it stands;
 * undefined where it reads. The first spot is what is looked at, the others the
 * same spot in the site's other editions: a colour of an element's own has to
 * read in all of them. Where it is known where it stands, it has to read there.
 */
export function remedyFor(
  spots: readonly [Spot, ...Spot[]],
  element: SiteElement,
  facet: Facet,
  state: State,
  standing?: Sight['standing'],
): Remedy | undefined {
  const [shown] = spots
  const { palette } = shown.docs.frame
  const trace = traceFacet(shown, element, facet, state)
  const reading = readingOf(shown, element, trace, { standing })
  if (!reading?.needs || reading.ratio >= reading.needs) return undefined
  const { needs } = reading
  const decider = trace.chain[trace.decidedBy]
  if (decider?.at === 'theme' && !themeReading(palette, shown.theme, decider.role)?.passes) {
    const { role } = decider
    return { reading, role, choices: readableChoices(palette, shown.theme, role) }
  }
  const grounds = spots.flatMap((spot) =>
    groundsUnder(spot, element, traceFacet(spot, element, facet, state), { standing }),
  )
  const ratioOf = (decision: ColorDecision) => {
    const color = decisionColor(palette, decision)
    return Math.min(...grounds.map((ground) => contrastOn(color, ground)))
  }
  const reads = (decision: ColorDecision) => ratioOf(decision) >= needs
  const tinted = tintFor(spots, element, facet, state, standing)
  return {
    reading,
    choices: nearestChoices(palette, startOf(trace.paint), reads, ratioOf),
    ...(tinted ? { tinted } : {}),
  }
}
