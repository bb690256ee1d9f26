import { over, toOklab, white } from '../color'
import { leastCost } from '../palette'
import { decisionColor } from '../resolve'
import { themesInOrder, type Palette, type Theme, type Themes } from '../site'
import { groundKind } from '../theme'
import type { Livery } from './livery'
import type { Couple } from './slots'

interface Seen {
  readonly theme: Theme
  readonly kind: string
  readonly l: number
  readonly at: number
}

function seen(palette: Palette, themes: Themes): Seen[] {
  const all = themesInOrder(themes)
  return all.map((theme, i) => {
    const ground = over(decisionColor(palette, theme.roles.ground), white)
    return { theme, kind: groundKind(ground), l: toOklab(ground).l, at: i / all.length }
  })
}

/** How ill a theme stands for another: a dark one for a pale one, a little for the place in the order. Common practice, no source. */
const unlike = (one: Seen, other: Seen): number =>
  (one.kind === other.kind ? 0 : 1) + Math.abs(one.l - other.l) + Math.abs(one.at - other.at) * 0.3

/** What leaving a theme without a partner costs: more than any couple. */
const NEVER = 10

export interface ThemeFit {
  /** For each theme of the site the one of the livery that takes its place. */
  readonly couples: readonly Couple[]
  /** Themes of the livery that take nobody’s place. */
  readonly rest: readonly Theme[]
}

/**
 * Which theme of a livery takes the place of which: pale for pale, dark for dark, in the order of the
 * site. Where the livery has fewer, the likest serves more than once.
 */
export function fitThemes(frame: { palette: Palette; themes: Themes }, livery: Livery): ThemeFit {
  const own = seen(frame.palette, frame.themes)
  const offered = seen(livery.palette, livery.themes)
  const found = leastCost(own.length, offered.length, NEVER, (row, column) =>
    unlike(own[row]!, offered[column]!),
  )
  const likest = (one: Seen) =>
    offered.reduce((best, each) => (unlike(one, each) < unlike(one, best) ? each : best))
  const couples = own.map((one, row) => ({
    own: one.theme,
    taken: (offered[found[row]!] ?? likest(one)).theme,
  }))
  const used = new Set(couples.map(({ taken }) => taken.id))
  return { couples, rest: offered.flatMap(({ theme }) => (used.has(theme.id) ? [] : [theme])) }
}
