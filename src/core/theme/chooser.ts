import type { Color } from '../color'
import {
  givenInk,
  inkContrast,
  inkDistance,
  inksOf,
  shadeInk,
  squaredDistance,
  STEP,
  worstContrast,
  type Decision,
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
  /** Inks that shall read on it, at WCAG 2.2's ratio for text. */
  readonly bears?: readonly Ink[]
  /** Whether colours serve that are there for news alone. */
  readonly news?: boolean
  /** What else it must be. */
  readonly fits?: (ink: Ink) => boolean
}

/** WCAG 2.2 §1.4.3, text of any size; §1.4.11, what must be seen of controls and icons. */
export const [TEXT, SHAPE] = [4.5, 3]

/** The lowest contrast of some inks on a fill. */
function borne(fill: Ink, bears: readonly Ink[]): number {
  let worst = Infinity
  for (const ink of bears) worst = Math.min(worst, inkContrast(ink, fill))
  return worst
}

/** Two roles that must be told apart, OKLab. */
const APART = 0.07

/** Chooses among the inks of one palette. */
export class Chooser {
  readonly inks: readonly Ink[]
  /** Which of them are there for news alone, if anything else is there. */
  private readonly barred: readonly boolean[]
  /** The lowest contrast of every ink by the footings it was asked for; many roles ask for the same. */
  private readonly contrasts = new WeakMap<readonly Footing[], Float64Array>()

  constructor(private readonly palette: readonly PaletteColor[]) {
    this.inks = inksOf(palette)
    const isAll = palette.every(({ forNews }) => forNews)
    this.barred = this.inks.map(({ from }) => !isAll && (palette[from]?.forNews ?? false))
  }

  /** An ink of what is decided already. */
  given(decision: Decision, color: Color): Ink {
    return givenInk(this.palette, decision, color)
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

  /** As `find`; where nothing reads on all footings, what reads on the first, or else what reads best. */
  choose(want: Want): Ink {
    const found = this.find(want)
    if (found) return found
    const best = this.strongest(want)
    const [first, ...others] = want.on
    if (!first || others.length === 0 || worstContrast(best, want.on) >= want.needs) return best
    return this.choose({ ...want, on: [first] })
  }

  /** The ink of least cost that reads; told apart from others if any is, else the farthest from them. */
  find(want: Want): Ink | undefined {
    const { on, needs, cost, not = [], apart = APART, bears = [], fits, news } = want
    const contrasts = this.contrastsOn(on)
    const wanted = apart * apart
    let best: Ink | undefined
    let least = Infinity
    let clearest: Ink | undefined
    let clear = -Infinity
    for (let i = 0; i < this.inks.length; i += 1) {
      const contrast = contrasts[i]!
      if (contrast < needs || (this.barred[i] && !news)) continue
      const ink = this.inks[i]!
      if (bears.length && borne(ink, bears) < TEXT) continue
      if (fits && !fits(ink)) continue
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
    return best ? this.refined(best, least, want) : clearest
  }

  /** The shade as near to the slot as the want allows, to a point of lightness. */
  private refined(
    ink: Ink,
    price: number,
    { on, needs, cost, not = [], apart = APART, bears = [], fits }: Want,
  ): Ink {
    const toSlot = -Math.sign(ink.offset)
    let best = ink
    let least = price
    for (let points = 1; points < STEP && toSlot; points += 1) {
      const nearer = shadeInk(this.palette, ink.from, ink.offset + toSlot * points)
      const contrast = worstContrast(nearer, on)
      if (contrast < needs || not.some((other) => inkDistance(other, nearer) < apart)) break
      if (bears.length && borne(nearer, bears) < TEXT) break
      if (fits && !fits(nearer)) break
      const own = cost(nearer, contrast)
      if (own < least) [best, least] = [nearer, own]
    }
    return best
  }

  /** What reads best on all footings, and bears best: shade by shade, for what fits may be a narrow band. */
  private strongest({ on, bears = [], news }: Want): Ink {
    const inks = this.inks.filter((_, i) => news || !this.barred[i])
    const worth = (ink: Ink) => Math.min(worstContrast(ink, on), borne(ink, bears))
    let best = inks[0]!
    let most = -Infinity
    const weigh = (ink: Ink) => {
      const own = worth(ink)
      if (own > most) [best, most] = [ink, own]
    }
    inks.forEach(weigh)
    for (const { from, offset } of inks) {
      const last = Math.min(offset + STEP - 1, 100)
      for (let points = offset + 1; points <= last; points += 1) {
        weigh(shadeInk(this.palette, from, points))
      }
    }
    return best
  }

  /** The ink nearest to a point in OKLab, a slot itself before a shade. */
  nearest(l: number, a: number, b: number, fits: (ink: Ink) => boolean): Ink | undefined {
    const point = { l, a, b }
    let best: Ink | undefined
    let least = Infinity
    for (const [i, ink] of this.inks.entries()) {
      if (this.barred[i] || Math.abs(ink.l - l) > 0.15 || !fits(ink)) continue
      const price = inkDistance(ink, point) + (ink.offset ? 0.01 : 0)
      if (price < least) [best, least] = [ink, price]
    }
    return best
  }
}
