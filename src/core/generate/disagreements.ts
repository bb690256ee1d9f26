import { roleIds, type RoleId } from '../roles'
import {
  canonicalJson,
  isBound,
  themesInOrder,
  type ColorDecision,
  type Frame,
  type Theme,
} from '../site'
import { bearable } from './fixes'

/** Roles that most themes decide by one slot, and a few by a loose colour. */
export interface Disagreement {
  readonly role: RoleId
  /** What most themes have. */
  readonly usual: ColorDecision
  readonly agree: number
  readonly odd: ReadonlyArray<{
    readonly theme: Theme
    /** What most have, as it can be read in this theme; absent where it cannot. */
    readonly inLine?: ColorDecision
  }>
}

/**
 * Where themes disagree without need: a role bound to one slot, or to shades of
 * it, in at least half of the themes (two or more), and loose in others.
 */
export function disagreements({ palette, themes }: Frame): Disagreement[] {
  const all = themesInOrder(themes)
  return roleIds.flatMap((role) => {
    const odd = all.filter((theme) => !isBound(theme.roles[role]))
    if (odd.length === 0) return []
    const bySlot = new Map<string, ColorDecision[]>()
    for (const theme of all) {
      const decision = theme.roles[role]
      if (isBound(decision))
        bySlot.set(decision.slot, [...(bySlot.get(decision.slot) ?? []), decision])
    }
    const most = [...bySlot.values()].sort((a, b) => b.length - a.length)[0]
    if (!most || most.length < 2 || most.length < all.length / 2) return []
    const usual = mostFrequent(most)
    return [
      {
        role,
        usual,
        agree: most.length,
        odd: odd.map((theme) => ({ theme, inLine: bearable(palette, theme, role, usual) })),
      },
    ]
  })
}

function mostFrequent(decisions: readonly ColorDecision[]): ColorDecision {
  const counts = new Map<string, number>()
  for (const each of decisions) {
    const key = canonicalJson(each)
    counts.set(key, (counts.get(key) ?? 0) + 1)
  }
  const best = Math.max(...counts.values())
  return decisions.find((each) => counts.get(canonicalJson(each)) === best)!
}
