import { TEXT, type Want } from './chooser'
import { footingsOf, inkDistance, reads, type Footing, type Ink } from './inks'
import { CHANGED, extreme, off, shading, those, type Setting } from './setting'

/** What it costs a fill under the pointer to be of another slot than at rest, or of another hue. */
function strange(ink: Ink, rest: Ink): number {
  if (rest.from < 0) return Math.hypot(ink.a - rest.a, ink.b - rest.b) * 3
  return ink.from === rest.from ? 0 : 0.8
}

/** The contrast from which a fill or a line is told from the ground that it stands on. Common practice, no source. */
export const TOLD = 1.35

/** The first of some wants that an ink meets; where none can be met, the last as near as it goes. */
const firstMet = (chooser: Setting['chooser'], wants: readonly Want[]): Ink =>
  wants.reduce<Ink | undefined>((found, want) => found ?? chooser.find(want), undefined) ??
  chooser.choose(wants.at(-1)!)

/**
 * A fill that stands out, its label, and how both change under the pointer. At
 * rest and pointed at it is told from ground and cards by its fill; where what
 * is given does not let it be, by its line.
 */
export function mainButton({ chooser, base, grounds, known }: Setting, edge: Ink) {
  const { buttonLabel, buttonHoverLabel, buttonHoverFill } = known
  const fillWanted: Want = {
    on: grounds,
    needs: TOLD,
    opaque: true,
    bears: those([buttonLabel]),
    cost: (ink, ratio) =>
      shading(ink) * 1.4 - Math.min(ink.chroma, 0.2) * 6 + Math.max(0, 2 - ratio) * 0.3,
  }
  const fill =
    known.buttonFill ??
    firstMet(chooser, [fillWanted, { ...fillWanted, on: base }, { ...fillWanted, needs: 1 }])
  const labelOn = (under: Ink) =>
    chooser.choose({
      on: footingsOf(under, grounds),
      needs: TEXT,
      opaque: true,
      cost: (ink, ratio) =>
        shading(ink) + extreme(ink) + off(ratio, 9) * 0.2 + (ink.from === under.from ? 0.2 : 0),
    })
  const label = buttonLabel ?? labelOn(fill)
  const likely = buttonHoverLabel ?? label
  // Away from its label's lightness the fill can only read better under it.
  const away = likely.l < fill.l ? 1 : -1
  const hoverWanted: Want = {
    on: grounds,
    needs: TOLD,
    opaque: true,
    bears: [likely],
    not: [fill],
    apart: CHANGED,
    cost: (ink) => strange(ink, fill) + Math.abs(ink.l - fill.l - 0.07 * away) * 3,
  }
  const hoverFill =
    buttonHoverFill ?? firstMet(chooser, [hoverWanted, { ...hoverWanted, on: base, needs: 1 }])
  const bears = reads(likely, footingsOf(hoverFill, grounds), TEXT)
  return {
    buttonFill: fill,
    buttonLabel: label,
    buttonLine: known.buttonLine ?? (reads(fill, grounds, TOLD) ? fill : edge),
    buttonHoverFill: hoverFill,
    buttonHoverLabel: buttonHoverLabel ?? (bears ? label : labelOn(hoverFill)),
  }
}

/** An outline that fills when it is pointed at; it has a fill at rest only where its label asks for one. */
export function quietButton(
  { chooser, base, lab, clear, grounds, known }: Setting,
  sign: Ink,
  edge: Ink,
) {
  const { quietLabel, quietLine, quietHoverFill, quietHoverLabel } = known
  const nearGround = (ink: Ink) => shading(ink) + inkDistance(ink, lab)
  const word = quietLabel ?? sign
  const quietFill =
    known.quietFill ??
    (reads(word, grounds, TEXT)
      ? clear
      : chooser.choose({ on: base, needs: 1, opaque: true, bears: [word], cost: nearGround }))
  const labelOn = (on: readonly Footing[]) =>
    chooser.choose({ on, needs: TEXT, opaque: true, cost: nearGround })
  const under = footingsOf(quietFill, grounds)
  const hoverFill =
    quietHoverFill ??
    (!quietHoverLabel || reads(quietHoverLabel, [sign], TEXT)
      ? sign
      : chooser.choose({
          on: base,
          needs: 1,
          opaque: true,
          bears: [quietHoverLabel],
          cost: (ink) => shading(ink) + inkDistance(ink, sign),
        }))
  return {
    quietFill,
    quietLabel: quietLabel ?? (reads(sign, under, TEXT) ? sign : labelOn(under)),
    quietLine: quietLine ?? edge,
    quietHoverFill: hoverFill,
    quietHoverLabel: quietHoverLabel ?? labelOn(footingsOf(hoverFill, grounds)),
  }
}
