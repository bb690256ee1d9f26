import { over, toOklab, white, type Color } from '../color'
import { Chooser } from './chooser'
import {
  footing,
  inkDistance,
  worstContrast,
  type Footing,
  type Ink,
  type PaletteColor,
  type SlotDecision,
} from './inks'
import type { RoleId } from './roles'

export type GeneratedRoles = Readonly<Record<RoleId, SlotDecision>>

/** WCAG 2.2 §1.4.3 for text, §1.4.11 for what must be seen of controls and icons. */
const [TEXT, SHAPE] = [4.5, 3]
/** A state that must be seen to change, OKLab. */
const CHANGED = 0.035

/** What it costs to leave the slot itself for a shade of it. */
const shading = (ink: Ink) => (ink.offset === 0 ? 0 : 0.12 + Math.abs(ink.offset) / 100)
/** Pure black and pure white are avoided where something else serves. Common practice, no source. */
const extreme = (ink: Ink) => (ink.l < 0.08 || ink.l > 0.995 ? 0.25 : 0)
/** How far from a contrast that is wished for, in doublings. */
const off = (ratio: number, wish: number) => Math.abs(Math.log2(ratio / wish))

/** Hues (OKLCH degrees) that are read as good, as caution and as bad news. Common practice, no source. */
const HUES = { success: 150, warning: 75, danger: 27 } as const

function hueGap(ink: Ink, hue: number): number {
  if (ink.chroma < 0.03) return 0.5
  const own = (Math.atan2(ink.b, ink.a) * 180) / Math.PI
  const gap = Math.abs(((own - hue + 540) % 360) - 180)
  return gap / 180
}

/**
 * Generates full themes out of a palette's slots and their shades alone, one
 * for each ground it is asked for. Every pair of the role table holds WCAG 2.2
 * AA: text is chosen among what reads on ground and cards alike, and black and
 * white, which every slot's shades end in, always hold one of the two on any
 * ground (the least is 4.58:1). The same palette gives the same theme. Needs at
 * least one filled slot.
 */
export function themeGenerator(
  palette: readonly PaletteColor[],
): (ground: SlotDecision, groundColor: Color) => GeneratedRoles {
  const chooser = new Chooser(palette)
  return (ground, groundColor) => themeOn(chooser, ground, groundColor)
}

function themeOn(chooser: Chooser, ground: SlotDecision, groundColor: Color): GeneratedRoles {
  const seen = over(groundColor, white)
  const base = footing(seen)
  const lab = toOklab(seen)
  const surface = surfaceOn(chooser, base, lab)
  // Cards take the ground where no other colour would leave text readable on both.
  const cards = surface ? surface.decision : ground
  const grounds = surface ? [base, footing(surface.color)] : [base]
  const words = wordsOn(chooser, grounds)
  const { link } = words
  const onLink = chooser.choose({
    on: [footing(link.color)],
    needs: TEXT,
    opaque: true,
    cost: (ink) => shading(ink) + inkDistance(ink, lab),
  })
  return {
    ground,
    surface: cards,
    ...decisions(words),
    ...decisions(mainButton(chooser, base)),
    // The quiet button is an outline that fills when it is pointed at.
    quietFill: { slot: ground.slot, shade: { ...ground.shade, alpha: -100 } },
    ...decisions({
      quietLabel: link,
      quietLine: link,
      quietHoverFill: link,
      quietHoverLabel: onLink,
      focus: link,
    }),
    ...decisions(marksOn(chooser, grounds, base, lab)),
    fieldGround: cards,
    ...decisions({
      fieldText: words.text,
      fieldHint: words.mutedText,
      fieldLine: chooser.choose({
        on: grounds,
        needs: SHAPE,
        cost: (ink, ratio) => shading(ink) * 0.7 + off(ratio, 3.8) + ink.chroma * 2,
      }),
    }),
  }
}

function decisions<Key extends string>(
  inks: Readonly<Record<Key, Ink>>,
): Record<Key, SlotDecision> {
  const entries = Object.entries<Ink>(inks).map(([role, { decision }]) => [role, decision])
  return Object.fromEntries(entries) as Record<Key, SlotDecision>
}

function wordsOn(chooser: Chooser, grounds: readonly Footing[]) {
  const on = { on: grounds, needs: TEXT }
  const heading = chooser.choose({
    ...on,
    cost: (ink, ratio) => shading(ink) + extreme(ink) + off(ratio, 15) * 0.5,
  })
  const text = chooser.choose({
    ...on,
    cost: (ink, ratio) =>
      shading(ink) * 0.6 +
      extreme(ink) +
      off(ratio, 11.5) * 0.6 +
      ink.chroma * 2 +
      (ink.from === heading.from ? 0 : 0.15),
  })
  const mutedText = chooser.choose({
    ...on,
    not: [text],
    cost: (ink, ratio) => shading(ink) * 0.7 + off(ratio, 5.6) + ink.chroma * 2,
  })
  const link = chooser.choose({
    ...on,
    not: [text, heading],
    opaque: true,
    cost: (ink, ratio) =>
      shading(ink) * 1.2 - Math.min(ink.chroma, 0.14) * 2.2 + off(ratio, 6.5) * 0.3,
  })
  const linkRatio = worstContrast(link, grounds)
  const linkHover = chooser.choose({
    ...on,
    not: [link],
    apart: CHANGED,
    cost: (ink, ratio) =>
      (ink.from === link.from ? 0 : 0.6) +
      Math.abs(inkDistance(ink, link) - 0.1) * 2 +
      // Under the pointer a link grows stronger rather than fainter.
      (ratio < linkRatio ? 0.2 : 0),
  })
  return { heading, text, mutedText, link, linkHover }
}

function marksOn(chooser: Chooser, grounds: readonly Footing[], base: Footing, lab: Lab) {
  const groundChroma = Math.hypot(lab.a, lab.b)
  const mark = (hue: number) =>
    chooser.choose({
      on: grounds,
      needs: TEXT,
      cost: (ink) => hueGap(ink, hue) * 2 + shading(ink) * 0.5,
    })
  return {
    line: chooser.choose({
      on: [base],
      needs: 1,
      opaque: true,
      cost: (ink, ratio) =>
        off(ratio, 1.45) + shading(ink) * 0.4 + Math.abs(ink.chroma - groundChroma) * 2,
    }),
    accent: chooser.choose({
      on: grounds,
      needs: SHAPE,
      cost: (ink) => shading(ink) * 1.5 - Math.min(ink.chroma, 0.2) * 5,
    }),
    success: mark(HUES.success),
    warning: mark(HUES.warning),
    danger: mark(HUES.danger),
  }
}

type Lab = Pick<Ink, 'l' | 'a' | 'b'>

/**
 * The ground of cards: a neighbour of the ground that leaves text readable on
 * both. Pale grounds take a lighter card, if there is one; very dark grounds a
 * lighter one, others a darker one. Undefined where nothing fits.
 */
function surfaceOn(chooser: Chooser, base: Footing, { l, a, b }: Lab): Ink | undefined {
  // Whether black reads better on the ground than white does.
  const isPale = (base.luminance + 0.05) ** 2 > 1.05 * 0.05
  const isDeep = base.luminance < 0.06
  const wishes = isPale ? [0.045, -0.04] : isDeep ? [0.06, -0.05] : [-0.06, 0.06]
  for (const step of wishes) {
    const found = chooser.nearest(l + step, a, b, (ink) => {
      const gap = (ink.l - l) * Math.sign(step)
      if (gap < 0.012 || gap > 0.14) return false
      // The strongest text of the ground's own side still reads on both.
      return isPale
        ? (Math.min(base.luminance, ink.luminance) + 0.05) / 0.05 >= TEXT
        : 1.05 / (Math.max(base.luminance, ink.luminance) + 0.05) >= TEXT
    })
    if (found) return found
  }
  return undefined
}

function mainButton(chooser: Chooser, base: Footing) {
  const fill = chooser.choose({
    on: [base],
    needs: 1.35,
    opaque: true,
    cost: (ink, ratio) =>
      shading(ink) * 1.4 - Math.min(ink.chroma, 0.2) * 6 + Math.max(0, 2 - ratio) * 0.3,
  })
  const label = chooser.choose({
    on: [footing(fill.color)],
    needs: TEXT,
    opaque: true,
    cost: (ink, ratio) =>
      shading(ink) + extreme(ink) + off(ratio, 9) * 0.2 + (ink.from === fill.from ? 0.2 : 0),
  })
  // Away from its label's lightness the fill can only read better under it.
  const away = label.l < fill.l ? 1 : -1
  const hover = chooser.choose({
    on: [footing(label.color)],
    needs: TEXT,
    opaque: true,
    not: [fill],
    apart: CHANGED,
    cost: (ink) => (ink.from === fill.from ? 0 : 0.8) + Math.abs(ink.l - fill.l - 0.07 * away) * 3,
  })
  return {
    buttonFill: fill,
    buttonLabel: label,
    buttonLine: fill,
    buttonHoverFill: hover,
    buttonHoverLabel: label,
  }
}
