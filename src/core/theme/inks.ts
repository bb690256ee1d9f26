import { luminance, over, shadesOf, toOklab, type Color, type Shade, type Steps } from '../color'

/** A filled slot, as theme generation sees it. */
export interface PaletteColor {
  readonly id: string
  readonly color: Color
  /** Steps of its lightness that have a colour of their own. */
  readonly steps?: Steps
  /** It is there for good, doubtful or bad news, and for nothing else. */
  readonly forNews?: boolean
}

/** A slot or one of its shades, as a decision names it. */
export interface SlotDecision {
  readonly slot: string
  readonly shade?: Shade
}

/** What decides a colour: a slot of the palette, a shade of one, or a value of its own. */
export type Decision = SlotDecision | { readonly value: string }

/** A colour that the palette can give, or that a person gave, with what is asked of it again and again. */
export interface Ink<D extends Decision = Decision> {
  readonly decision: D
  /** The index of its slot in the palette; −1 for a colour that is none of it. */
  readonly from: number
  /** Points of lightness from the slot itself, −100…100. */
  readonly offset: number
  readonly color: Color
  /** OKLab, and WCAG 2.2 relative luminance 0…1 of the colour as opaque. */
  readonly l: number
  readonly a: number
  readonly b: number
  readonly chroma: number
  readonly luminance: number
}

/** Points of lightness between the shades that are weighed; the chosen one is refined to a point. */
export const STEP = 5

/** Always the same members in the same order: these are read millions of times. */
function inkOf<D extends Decision>(
  decision: D,
  from: number,
  offset: number,
  color: Color,
): Ink<D> {
  const { l, a, b } = toOklab(color)
  return {
    decision,
    from,
    offset,
    color,
    l,
    a,
    b,
    chroma: Math.sqrt(a * a + b * b),
    luminance: luminance(color),
  }
}

/** An ink of what is decided already; its slot is known by its id, where the palette has it. */
export function givenInk(palette: readonly PaletteColor[], decision: Decision, color: Color): Ink {
  const from = palette.findIndex(({ id }) => 'slot' in decision && decision.slot === id)
  return inkOf(decision, from, 0, color)
}

/** What makes a slot opaque again: its shades are, so that what they give does not hang on what lies under them. */
const opacity = (color: Color): Shade =>
  color.alpha < 1 ? { alpha: Math.ceil((1 - color.alpha) * 100) } : {}

type Shader = (shade: Shade | undefined) => Color

function shadeBy(
  shaded: Shader,
  { id, color }: PaletteColor,
  from: number,
  offset: number,
): Ink<SlotDecision> {
  const shade = { ...(offset ? { lightness: offset } : {}), ...opacity(color) }
  const wanted = Object.keys(shade).length ? shade : undefined
  const decision = wanted ? { slot: id, shade: wanted } : { slot: id }
  return inkOf(decision, from, offset, shaded(wanted))
}

/** One shade of a slot by lightness, opaque. */
export function shadeInk(
  palette: readonly PaletteColor[],
  from: number,
  offset: number,
): Ink<SlotDecision> {
  const slot = palette[from]!
  return shadeBy(shadesOf(slot.color, slot.steps), slot, from, offset)
}

const ramps = new Map<string, readonly Ink[]>()
const MOST_RAMPS = 600

/**
 * A slot and its shades from white to black, all opaque: a slot that can be
 * seen through is no colour for words, lines or fills, but its opaque shades
 * are. Kept by colour: while one slot is dragged, those of all others are
 * known. By the very colour, not by what it rounds to: two that paint the same
 * 8 bits may have other shades, above all outside of sRGB.
 */
function rampOf(slot: PaletteColor, from: number): readonly Ink[] {
  const { id, color, steps } = slot
  const own = steps ? ` ${JSON.stringify(steps)}` : ''
  const key = `${from} ${id} ${color.r} ${color.g} ${color.b} ${color.alpha}${own}`
  const known = ramps.get(key)
  if (known) return known
  if (ramps.size >= MOST_RAMPS) ramps.clear()
  const shaded = shadesOf(color, steps)
  const { l } = toOklab(color)
  const ramp: Ink[] = []
  for (let offset = -100; offset <= 100; offset += STEP) {
    const at = l + offset / 100
    if (at > -STEP / 100 && at < 1 + STEP / 100) ramp.push(shadeBy(shaded, slot, from, offset))
  }
  ramps.set(key, ramp)
  return ramp
}

/** Every ink of a palette, slot by slot. */
export function inksOf(palette: readonly PaletteColor[]): Ink[] {
  return palette.flatMap(rampOf)
}

/** A colour to stand on, as it is seen. */
export interface Footing {
  readonly color: Color
  readonly luminance: number
}

export function footing(color: Color): Footing {
  return { color, luminance: luminance(color) }
}

/** The contrast ratio (WCAG 2.2) of an ink on a footing, as it is seen there. */
export function inkContrast(ink: Ink, ground: Footing): number {
  const own = ink.color.alpha < 1 ? luminance(over(ink.color, ground.color)) : ink.luminance
  return own > ground.luminance
    ? (own + 0.05) / (ground.luminance + 0.05)
    : (ground.luminance + 0.05) / (own + 0.05)
}

/** The lowest contrast of an ink over several footings. */
export function worstContrast(ink: Ink, grounds: readonly Footing[]): number {
  let worst = Infinity
  for (const ground of grounds) worst = Math.min(worst, inkContrast(ink, ground))
  return worst
}

/** Whether an ink has the contrast it needs on every one of some footings. */
export const reads = (ink: Ink, on: readonly Footing[], needs: number): boolean =>
  worstContrast(ink, on) >= needs

/** What others stand on where a fill is painted: itself, or what it lets through of all that lies under it. */
export function footingsOf({ color, luminance: own }: Ink, under: readonly Footing[]): Footing[] {
  return color.alpha < 1
    ? under.map((below) => footing(over(color, below.color)))
    : [{ color, luminance: own }]
}

/** Distance in OKLab, squared: for comparisons. */
export function squaredDistance(
  p: Pick<Ink, 'l' | 'a' | 'b'>,
  q: Pick<Ink, 'l' | 'a' | 'b'>,
): number {
  const [l, a, b] = [p.l - q.l, p.a - q.a, p.b - q.b]
  return l * l + a * a + b * b
}

export const inkDistance = (p: Pick<Ink, 'l' | 'a' | 'b'>, q: Pick<Ink, 'l' | 'a' | 'b'>): number =>
  Math.sqrt(squaredDistance(p, q))
