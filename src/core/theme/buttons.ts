import { TEXT, type Want } from './chooser'
import { footingsOf, inkDistance, reads, type Footing, type Ink } from './inks'
import { CHANGED, extreme, off, shading, those, type Setting } from './setting'

/** What it costs a fill under the pointer to be of another slot than at rest, or of another hue. */
function strange(ink: Ink, rest: Ink): number {
  if (rest.from < 0) return Math.hypot(ink.a - rest.a, ink.b - rest.b) * 3
  return ink.from === rest.from ? 0 : 0.8
}

/** A fill that stands out, its label, and how both change under the pointer. */
export function mainButton({ chooser, base, grounds, known }: Setting) {
  const { buttonLabel, buttonHoverLabel, buttonHoverFill } = known
  const fillWanted: Want = {
    on: base,
    needs: 1.35,
    opaque: true,
    bears: those([buttonLabel]),
    cost: (ink, ratio) =>
      shading(ink) * 1.4 - Math.min(ink.chroma, 0.2) * 6 + Math.max(0, 2 - ratio) * 0.3,
  }
  const fill =
    known.buttonFill ?? chooser.find(fillWanted) ?? chooser.choose({ ...fillWanted, needs: 1 })
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
  const hoverFill =
    buttonHoverFill ??
    chooser.choose({
      on: base,
      needs: 1,
      opaque: true,
      bears: [likely],
      not: [fill],
      apart: CHANGED,
      cost: (ink) => strange(ink, fill) + Math.abs(ink.l - fill.l - 0.07 * away) * 3,
    })
  const bears = reads(likely, footingsOf(hoverFill, grounds), TEXT)
  return {
    buttonFill: fill,
    buttonLabel: label,
    buttonLine: known.buttonLine ?? fill,
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
