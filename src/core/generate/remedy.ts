import { contrast } from '../color'
import type { Facet } from '../elements'
import {
  decisionColor,
  groundsUnder,
  readingOf,
  themeReading,
  traceFacet,
  type Reading,
  type Spot,
} from '../resolve'
import type { RoleId } from '../roles'
import { isColor, type ColorDecision, type SiteElement, type State } from '../site'
import { nearestChoices, readableChoices, type ReadableChoice } from './fixes'

/** What would make one colour on a page readable, and where it would be decided. */
export interface Remedy {
  readonly reading: Reading
  /** The role of the theme, where it is the theme that does not read; else the element alone is meant. */
  readonly role?: RoleId
  /** Empty where no one colour of the palette reads on all that lies under it. */
  readonly choices: readonly ReadableChoice[]
}

/**
 * The remedy for a colour of an element that does not read where it stands;
 * undefined where it reads. The first spot is what is looked at, the others the
 * same spot in the site's other editions: a colour of an element's own has to
 * read in all of them.
 */
export function remedyFor(
  spots: readonly [Spot, ...Spot[]],
  element: SiteElement,
  facet: Facet,
  state: State,
): Remedy | undefined {
  const [shown] = spots
  const { palette } = shown.docs.frame
  const trace = traceFacet(shown, element, facet, state)
  const reading = readingOf(shown, element, trace)
  if (!reading?.needs || reading.ratio >= reading.needs || !isColor(trace.paint)) return undefined
  const { needs } = reading
  const decider = trace.chain[trace.decidedBy]
  if (decider?.at === 'theme' && !themeReading(palette, shown.theme, decider.role)?.passes) {
    const { role } = decider
    return { reading, role, choices: readableChoices(palette, shown.theme, role) }
  }
  const grounds = spots.flatMap((spot) =>
    groundsUnder(spot, element, traceFacet(spot, element, facet, state)),
  )
  const ratioOf = (decision: ColorDecision) => {
    const color = decisionColor(palette, decision)
    return Math.min(...grounds.map((ground) => contrast(color, ground)))
  }
  const reads = (decision: ColorDecision) => ratioOf(decision) >= needs
  return { reading, choices: nearestChoices(palette, trace.paint, reads, ratioOf) }
}
