import {
  inkDistance,
  inksOf,
  shadeInk,
  squaredDistance,
  STEP,
  worstContrast,
  type Footing,
  type Ink,
  type PaletteColor,
} from './inks'

/** What a role asks for. */
export interface Want {
  /** Footings that it must read on, and the ratio there. */
  readonly on: readonly Footing[]
  readonly needs: number
  /** What counts for and against an ink that reads, given its lowest contrast; the least wins. */
  readonly cost: (ink: Ink, contrast: number) => number
  /** Inks to be told apart from by this distance in OKLab, if any can be. */
  readonly not?: readonly Ink[]
  readonly apart?: number
  /** Fills must not let through what lies under them. */
  readonly opaque?: boolean
}

/** Two roles that must be told apart, OKLab. */
const APART = 0.07

/** Chooses among the inks of one palette. */
export class Chooser {
  readonly inks: readonly Ink[]
  /** The lowest contrast of every ink by the footings it was asked for; many roles ask for the same. */
  private readonly contrasts = new WeakMap<readonly Footing[], Float64Array>()

  constructor(private readonly palette: readonly PaletteColor[]) {
    this.inks = inksOf(palette)
  }

  private contrastsOn(on: readonly Footing[]): Float64Array {
    let known = this.contrasts.get(on)
    if (!known) {
      known = new Float64Array(this.inks.length)
      for (let i = 0; i < known.length; i += 1) known[i] = worstContrast(this.inks[i]!, on)
      this.contrasts.set(on, known)
    }
    return known
  }

  /** The ink of least cost that reads; told apart from others if any is, else the farthest from them. */
  choose(want: Want): Ink {
    const { on, needs, cost, not = [], apart = APART, opaque } = want
    const contrasts = this.contrastsOn(on)
    const wanted = apart * apart
    let best: Ink | undefined
    let least = Infinity
    let clearest: Ink | undefined
    let clear = -Infinity
    for (let i = 0; i < this.inks.length; i += 1) {
      const contrast = contrasts[i]!
      if (contrast < needs) continue
      const ink = this.inks[i]!
      if (opaque && ink.color.alpha < 1) continue
      let gap = Infinity
      for (const other of not) gap = Math.min(gap, squaredDistance(ink, other))
      if (gap < wanted) {
        if (gap > clear) {
          clearest = ink
          clear = gap
        }
        continue
      }
      const price = cost(ink, contrast)
      if (price < least) {
        best = ink
        least = price
      }
    }
    return best ? this.refined(best, least, want) : (clearest ?? this.strongest(on))
  }

  /** The shade as near to the slot as the want allows, to a point of lightness. */
  private refined(
    ink: Ink,
    price: number,
    { on, needs, cost, not = [], apart = APART }: Want,
  ): Ink {
    const toSlot = -Math.sign(ink.offset)
    let best = ink
    let least = price
    for (let points = 1; points < STEP && toSlot; points += 1) {
      const nearer = shadeInk(this.palette, ink.from, ink.offset + toSlot * points)
      const contrast = worstContrast(nearer, on)
      if (contrast < needs || not.some((other) => inkDistance(other, nearer) < apart)) break
      const own = cost(nearer, contrast)
      if (own < least) [best, least] = [nearer, own]
    }
    return best
  }

  /** Where nothing reads on all footings, what reads best. */
  private strongest(on: readonly Footing[]): Ink {
    const contrasts = this.contrastsOn(on)
    return this.inks[contrasts.indexOf(Math.max(...contrasts))]!
  }

  /** The opaque ink nearest to a point in OKLab, a slot itself before a shade. */
  nearest(l: number, a: number, b: number, fits: (ink: Ink) => boolean): Ink | undefined {
    const point = { l, a, b }
    let best: Ink | undefined
    let least = Infinity
    for (const ink of this.inks) {
      if (ink.color.alpha < 1 || Math.abs(ink.l - l) > 0.15 || !fits(ink)) continue
      const price = inkDistance(ink, point) + (ink.offset ? 0.01 : 0)
      if (price < least) [best, least] = [ink, price]
    }
    return best
  }
}
