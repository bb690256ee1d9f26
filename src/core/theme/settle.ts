import type { RolePair } from '../elements'
import { roles, type RoleId } from '../roles'
import type { Want } from './chooser'
import { footingsOf, inkDistance, reads, type Footing, type Ink } from './inks'
import { shading, type Setting } from './setting'

/** Everything of a theme but the ground that it is made on. */
export type ThemeInks = Readonly<Record<Exclude<RoleId, 'ground'>, Ink>>
type Chosen = keyof ThemeInks

/** Ground and cards are what everything else was chosen on; they stay. */
const mayChange = (role: RoleId): role is Chosen => role !== 'ground' && role !== 'surface'

/** A theme on its way: what can be asked and changed of it without touching the one that it comes from. */
class Draft {
  constructor(
    private readonly setting: Setting,
    private readonly pairs: readonly RolePair[],
    readonly inks: ThemeInks,
  ) {}

  private footings(role: RoleId): readonly Footing[] {
    const { base, grounds } = this.setting
    if (role === 'ground') return base
    return role === 'surface' ? grounds.slice(-1) : footingsOf(this.inks[role], grounds)
  }

  holds({ role, on, needs }: RolePair): boolean {
    return role === 'ground' || reads(this.inks[role], this.footings(on), needs)
  }

  failing(): RolePair[] {
    return this.pairs.filter((pair) => !this.holds(pair))
  }

  /** The grounds of a role, those that are told, or all. */
  private standsOn(role: RoleId, only?: RoleId): Footing[] {
    const own = this.pairs.filter((pair) => pair.role === role && (!only || pair.on === only))
    return own.flatMap(({ on }) => this.footings(on))
  }

  private with(role: Chosen, want: Pick<Want, 'on' | 'needs' | 'bears'>): Draft | undefined {
    const old = this.inks[role]
    const cost = (ink: Ink) => inkDistance(ink, old) * 2 + shading(ink)
    const found = this.setting.chooser.find({ ...want, cost })
    return found && new Draft(this.setting, this.pairs, { ...this.inks, [role]: found })
  }

  /** What stands on top changes, so that it reads on all that it stands on, or on one. */
  raised({ role, needs }: RolePair, only?: RoleId): Draft | undefined {
    if (!mayChange(role) || this.setting.known[role]) return undefined
    return this.with(role, { on: this.standsOn(role, only), needs })
  }

  /** What lies under changes, so that it bears all that stands on it. */
  bearing({ on }: RolePair): Draft | undefined {
    if (!mayChange(on) || this.setting.known[on]) return undefined
    const own = this.standsOn(on)
    const borne = this.pairs.filter((pair) => pair.on === on && mayChange(pair.role))
    return this.with(on, {
      on: own.length ? own : this.setting.base,
      needs: roles[on].needs ?? 1,
      bears: borne.map(({ role }) => this.inks[role as Chosen]),
    })
  }

  /** What stands on top changes for the one ground, and its other grounds follow. */
  turned(pair: RolePair): Draft | undefined {
    const others = this.pairs.filter(({ role, on }) => role === pair.role && on !== pair.on)
    return others.reduce<Draft | undefined>(
      (draft, other) => (draft?.holds(other) ? draft : draft?.bearing(other)),
      this.raised(pair, pair.on),
    )
  }
}

/**
 * Holds pairs that the steps of a theme do not think of, because some kind of
 * element brings roles together that had nothing to do with each other: by the
 * least change that leaves fewer pairs failing. What is given stays; a pair that
 * cannot be held so is left, and the checks tell it.
 */
export function settled(setting: Setting, inks: ThemeInks, pairs: readonly RolePair[]): ThemeInks {
  let draft = new Draft(setting, pairs, inks)
  for (const pair of draft.failing()) {
    const ways = [() => draft.raised(pair), () => draft.bearing(pair), () => draft.turned(pair)]
    for (const way of ways) {
      if (draft.holds(pair)) break
      const next = way()
      if (next && next.failing().length < draft.failing().length) draft = next
    }
  }
  return draft.inks
}
