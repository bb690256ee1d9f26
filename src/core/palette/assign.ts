import { toOklab, toOklch, type Color, type Oklch } from '../color'
import { leastCost } from './least-cost'

/** A slot that colours are proposed for: what it holds, and what it is for. */
export interface AssignedSlot {
  readonly color: Color
  /** 0…1: how much of what it paints is to catch the eye; absent where it paints nothing. */
  readonly acts?: number
  /** Whether it is the accent. */
  readonly isAccent?: boolean
}

/** Chroma (OKLCH) from which a colour is vivid enough to serve as accent. */
const VIVID = 0.07
/** Chroma below which nothing in a palette counts as vivid beside the others. */
const LEAST = 0.08

const mostChroma = (colors: readonly Oklch[]) => Math.max(0, ...colors.map(({ c }) => c))

/**
 * How vivid a slot should be among its palette, 0…1: what it is for, and how
 * vivid it is beside the other slots. Undefined where neither tells: it paints
 * nothing, and no slot is vivid.
 */
function wishOf({ acts }: AssignedSlot, own: Oklch, most: number): number | undefined {
  const beside = most < VIVID ? undefined : own.c / most
  if (acts === undefined || beside === undefined) return acts ?? beside
  return (acts + beside) / 2
}

/** What it costs a slot to be more vivid than it should be, and to be less. */
const [TOO_VIVID, TOO_DULL] = [1.1, 0.4]

/**
 * A colour farther than this in lightness does not suit, so a near-black slot
 * keeps its colour where a picture or a list holds none; and what it costs to
 * leave a slot as it is, which only a colour far too vivid for it exceeds.
 * Common practice, no source.
 */
const [FARTHEST, LEAVE] = [0.25, 1]

/** What it costs that one lets through all and the other nothing: an overlay is no ground. Common practice, no source. */
const OTHER_ALPHA = 2

/**
 * How ill a colour serves a slot: by lightness, by whether it is vivid where
 * the slot is to catch the eye and quiet where it is not, by how much it lets
 * through, and a little by hue.
 */
function cost(slot: Oklch, wish: number | undefined, color: Oklch, vividness: number): number {
  // Of what lets through, lightness and hue are only in part what is seen.
  const seen = Math.min(slot.alpha, color.alpha)
  const apart = seen * Math.abs(slot.l - color.l)
  if (apart >= FARTHEST) return 2 * LEAVE
  const over = wish === undefined ? 0 : vividness - wish
  const [p, q] = [slot, color].map(({ c, h }) => {
    const angle = (h * Math.PI) / 180
    return [c * Math.cos(angle), c * Math.sin(angle)] as const
  }) as [readonly [number, number], readonly [number, number]]
  return (
    3 * apart +
    (over > 0 ? TOO_VIVID * over : TOO_DULL * -over) +
    OTHER_ALPHA * Math.abs(slot.alpha - color.alpha) +
    Math.hypot(p[0] - q[0], p[1] - q[1]) * seen * 0.5
  )
}

/**
 * Which colour goes to which slot, so that each slot keeps what it is for: the
 * accent takes the most vivid colour of two or more, if any is vivid; the
 * others take the assignment of least total cost. Returns for every slot the
 * index of its colour, or −1 where none suits or none is left.
 */
export function assignColors(slots: readonly AssignedSlot[], colors: readonly Color[]): number[] {
  const held = slots.map(({ color }) => toOklch(color))
  const offered = colors.map(toOklch)
  const [mostHeld, mostOffered] = [mostChroma(held), mostChroma(offered)]
  const accent = colors.length > 1 ? slots.findIndex(({ isAccent }) => isAccent) : -1
  const vivid = offered.findIndex(({ c }) => c >= VIVID && c === mostOffered)
  const isSettled = accent >= 0 && vivid >= 0
  const rows = held.flatMap((_, i) => (isSettled && i === accent ? [] : [i]))
  const columns = offered.flatMap((_, i) => (isSettled && i === vivid ? [] : [i]))
  const found = leastCost(rows.length, columns.length, LEAVE, (row, column) => {
    const [slot, color] = [rows[row]!, columns[column]!]
    const wish = wishOf(slots[slot]!, held[slot]!, mostHeld)
    return cost(
      held[slot]!,
      wish,
      offered[color]!,
      offered[color]!.c / Math.max(LEAST, mostOffered),
    )
  })
  const result = Array<number>(slots.length).fill(-1)
  found.forEach((column, row) => {
    if (column >= 0) result[rows[row]!] = columns[column]!
  })
  if (isSettled) result[accent] = vivid
  return result
}

/**
 * Which colour goes to which slot where all are to be used, whatever the slots are for: as near as
 * can be in OKLab on the whole. Returns for every slot the index of its colour, or −1 where none is
 * left.
 */
export function assignAll(slots: readonly Color[], colors: readonly Color[]): number[] {
  const [held, offered] = [slots.map(toOklab), colors.map(toOklab)]
  // Farther than any two colours are: no slot stays as it is while a colour is left.
  return leastCost(held.length, offered.length, slots.length * 10, (row, column) => {
    const [a, b] = [held[row]!, offered[column]!]
    return Math.hypot(a.l - b.l, a.a - b.a, a.b - b.b)
  })
}
