import { colorOf, difference, opaqueKey, shadesOf, type Color, type Shade } from '../color'
import { fanOf } from '../palette'
import { decisionColor, slotColor } from '../resolve'
import { isBound, slotsInOrder, type BoundDecision, type Palette, type SlotId } from '../site'
import { hasHue } from './family'

/** Two colours nearer than this are taken for one another (CIEDE2000; common practice, no source). */
const NEAR = 5
/** A shade must be met closer than a slot itself: there are many of them. Common practice, no source. */
const NEAR_SHADE = 1.5

/** What a loose colour was left behind by: a slot, or a shade of it, that is or once was this colour. */
export interface Leftover {
  readonly slot: SlotId
  readonly shade?: Shade
  /** CIEDE2000 to what the slot, or its shade, holds now. */
  readonly difference: number
  /** Whether it is what the slot, or its shade, was before. */
  readonly held: boolean
}

/** A colour that a slot or a shade of it holds, or held. */
interface Known {
  readonly slot: SlotId
  readonly shade?: Shade
  /** The colour, as a key without alpha. */
  readonly key: string
  /** What it holds now; one object for each slot and shade. */
  readonly now: Color
  readonly held: boolean
}

function knownOf(palette: Palette): Known[] {
  return slotsInOrder(palette).flatMap(({ id: slot, value, was }): Known[] => {
    if (value === null) return []
    const shades = fanOf(palette, slot).flatMap((each) =>
      isBound(each) && each.shade ? [each.shade] : [],
    )
    const now = slotColor(palette, slot)
    // A step of a slot's ramp may have a colour of its own.
    const shadesNow = shades.map((shade) => decisionColor(palette, { slot, shade }))
    const once = was.flatMap((old) => colorOf(old) ?? [])
    return [now, ...once].flatMap((color, i): Known[] => {
      const held = i > 0
      const own: Known = { slot, key: opaqueKey(color), now, held }
      // Tints and shades of what has no hue are greys like any other.
      if (!hasHue(color)) return [own]
      const shadeOf = held ? shadesOf(color) : undefined
      return [
        own,
        ...shades.map((shade, n): Known => ({
          slot,
          shade,
          key: opaqueKey(shadeOf?.(shade) ?? shadesNow[n]!),
          now: shadesNow[n]!,
          held,
        })),
      ]
    })
  })
}

/**
 * Tells of loose colours what they were left behind by: a slot that holds the colour or nearly,
 * or held it before; or a shade of one. The nearest to what is held now is told. Alpha is left aside.
 */
export function leftoverFinder(palette: Palette): (color: Color) => Leftover | undefined {
  const known = knownOf(palette)
  return (color) => {
    let best: { readonly known: Known; readonly gap: number } | undefined
    const key = opaqueKey(color)
    for (const each of known) {
      if (each.held && each.key !== key) continue
      // What is painted alike is the same, whatever lies behind the eighth bit.
      const gap = opaqueKey(each.now) === key ? 0 : difference(color, each.now)
      const isIt = each.held || gap <= (each.shade ? NEAR_SHADE : NEAR)
      // A slot goes before a shade that is no nearer.
      if (isIt && !(best && best.gap <= gap)) best = { known: each, gap }
    }
    if (!best) return undefined
    const { slot, shade, now } = best.known
    const held = known.some((each) => each.held && each.now === now && each.key === key)
    return { slot, ...(shade ? { shade } : {}), difference: best.gap, held }
  }
}

/**
 * How many of some loose uses wait for their slot: all where it holds another colour by now; those
 * that could refer to it where it holds this very one, for the others are as they should be.
 */
export const waiting = (
  { difference: gap }: Pick<Leftover, 'difference'>,
  { count, bindable }: { readonly count: number; readonly bindable: number },
): number => (gap === 0 ? bindable : count)

/** The decision that binds a leftover to what it was left behind by. */
export const boundTo = ({ slot, shade }: Leftover): BoundDecision =>
  shade ? { slot, shade } : { slot }
