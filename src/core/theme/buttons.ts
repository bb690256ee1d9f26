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

/** Words on a fill. */
const labelOn = ({ chooser, grounds }: Setting, under: Ink): Ink =>
  chooser.choose({
    on: footingsOf(under, grounds),
    needs: TEXT,
    cost: (ink, ratio) =>
      shading(ink) + extreme(ink) + off(ratio, 9) * 0.2 + (ink.from === under.from ? 0.2 : 0),
  })

/** A fill that stands out from ground and cards, bearing what is given to stand on it. */
function standingFill({ chooser, base, grounds }: Setting, label: Ink | undefined): Ink {
  const wanted: Want = {
    on: grounds,
    needs: TOLD,
    bears: those([label]),
    cost: (ink, ratio) =>
      shading(ink) * 1.4 - Math.min(ink.chroma, 0.2) * 6 + Math.max(0, 2 - ratio) * 0.3,
  }
  return firstMet(chooser, [wanted, { ...wanted, on: base }, { ...wanted, needs: 1 }])
}

export type MainInks = Readonly<
  Record<'buttonFill' | 'buttonLabel' | 'buttonLine' | 'buttonHoverFill' | 'buttonHoverLabel', Ink>
>

/**
 * A fill that stands out, its label, and how both change under the pointer. At
 * rest and pointed at it is told from ground and cards by its fill; where what
 * is given does not let it be, by its line.
 */
function solidButton(setting: Setting, edge: Ink): MainInks {
  const { chooser, base, grounds, known } = setting
  const { buttonLabel, buttonHoverLabel, buttonHoverFill } = known
  const fill = known.buttonFill ?? standingFill(setting, buttonLabel)
  const label = buttonLabel ?? labelOn(setting, fill)
  const likely = buttonHoverLabel ?? label
  // Away from its label's lightness the fill can only read better under it.
  const away = likely.l < fill.l ? 1 : -1
  const hoverWanted: Want = {
    on: grounds,
    needs: TOLD,
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
    buttonHoverLabel: buttonHoverLabel ?? (bears ? label : labelOn(setting, hoverFill)),
  }
}

/** How much of a button's colour a pale fill of it has. Common practice, no source. */
const TINT = 0.14

/** What it costs a pale fill to be of another slot than the colour that it is pale of. */
const OTHER_SLOT = 0.06

/** A pale fill between the ground and a colour, told from the ground, and bearing what is given. */
function softFill({ chooser, base, lab }: Setting, color: Ink, label: Ink | undefined): Ink {
  const between = (from: number, to: number) => from + (to - from) * TINT
  const aim = {
    l: between(lab.l, color.l),
    a: between(lab.a, color.a),
    b: between(lab.b, color.b),
  }
  const wanted: Want = {
    on: base,
    needs: 1,
    bears: those([label]),
    fits: (ink) => inkDistance(ink, lab) >= CHANGED,
    cost: (ink) => (ink.from === color.from ? 0 : OTHER_SLOT) + inkDistance(ink, aim),
  }
  return chooser.find(wanted) ?? chooser.choose({ ...wanted, fits: () => true })
}

/** Words in a colour, or as near to it as reads. */
const wordsIn = ({ chooser }: Setting, color: Ink, on: readonly Footing[]): Ink =>
  reads(color, on, TEXT) && color.color.alpha === 1
    ? color
    : chooser.choose({
        on,
        needs: TEXT,
        cost: (ink) => shading(ink) * 0.2 + inkDistance(ink, color) * 2,
      })

/** Nothing behind the words, unless those that are given ask for a fill. */
function clearUnder({ chooser, base, lab, clear, grounds }: Setting, word: Ink | undefined): Ink {
  if (!word || reads(word, grounds, TEXT)) return clear
  return chooser.choose({
    on: base,
    needs: 1,
    bears: [word],
    cost: (ink) => shading(ink) + inkDistance(ink, lab),
  })
}

/**
 * A line in the colour of the words, where that is told from what is around it;
 * else as outlines are. It is told wherever a fill of the button is not.
 */
function lineOf({ chooser, grounds }: Setting, fills: readonly Ink[], label: Ink, edge: Ink): Ink {
  if (reads(label, grounds, TOLD)) return label
  const untold = grounds.filter((ground) => fills.some((fill) => !reads(fill, [ground], TOLD)))
  if (reads(edge, untold, TOLD)) return edge
  return chooser.choose({
    on: untold,
    needs: TOLD,
    cost: (ink) => shading(ink) + inkDistance(ink, edge),
  })
}

/** Told by an outline or by a pale fill, in the colour that fills it when it is pointed at. */
function fillingButton(setting: Setting, edge: Ink): MainInks {
  const { grounds, known, form } = setting
  const { buttonLabel, buttonHoverLabel } = known
  const hoverFill = known.buttonHoverFill ?? standingFill(setting, buttonHoverLabel)
  const fill =
    known.buttonFill ??
    (form === 'soft' ? softFill(setting, hoverFill, buttonLabel) : clearUnder(setting, buttonLabel))
  const label = buttonLabel ?? wordsIn(setting, hoverFill, footingsOf(fill, grounds))
  return {
    buttonFill: fill,
    buttonLabel: label,
    buttonLine: known.buttonLine ?? lineOf(setting, [fill, hoverFill], label, edge),
    buttonHoverFill: hoverFill,
    buttonHoverLabel: buttonHoverLabel ?? labelOn(setting, hoverFill),
  }
}

/** Words with a line under them, which change as links do. */
function underlinedButton(
  setting: Setting,
  { link, linkHover }: Readonly<Record<'link' | 'linkHover', Ink>>,
  edge: Ink,
): MainInks {
  const { grounds, known } = setting
  const fill = known.buttonFill ?? clearUnder(setting, known.buttonLabel)
  const hoverFill = known.buttonHoverFill ?? clearUnder(setting, known.buttonHoverLabel)
  const label = known.buttonLabel ?? wordsIn(setting, link, footingsOf(fill, grounds))
  return {
    buttonFill: fill,
    buttonLabel: label,
    buttonLine: known.buttonLine ?? lineOf(setting, [fill, hoverFill], label, edge),
    buttonHoverFill: hoverFill,
    buttonHoverLabel:
      known.buttonHoverLabel ?? wordsIn(setting, linkHover, footingsOf(hoverFill, grounds)),
  }
}

/** The main button, in the form that the site gives its buttons. */
export function mainButton(setting: Setting, words: Words, edge: Ink): MainInks {
  if (setting.form === 'solid') return solidButton(setting, edge)
  return setting.form === 'underline'
    ? underlinedButton(setting, words, edge)
    : fillingButton(setting, edge)
}

type Words = Readonly<Record<'text' | 'link' | 'linkHover', Ink>>

/** What a quiet button has under its words when it is pointed at, as its form says. */
function quietHover(setting: Setting, sign: Ink): Ink {
  const { chooser, base, clear, form, known } = setting
  const label = known.quietHoverLabel
  const byForm = () => {
    if (form === 'soft') return softFill(setting, sign, label)
    return form === 'underline' ? clear : sign
  }
  const usual = byForm()
  if (!label || form === 'soft' || reads(label, footingsOf(usual, setting.grounds), TEXT)) {
    return usual
  }
  return chooser.choose({
    on: base,
    needs: 1,
    bears: [label],
    cost: (ink) => shading(ink) + inkDistance(ink, sign),
  })
}

/**
 * An outline that fills when it is pointed at; it has a fill at rest only where its label asks for
 * one. Among soft buttons it fills as palely; among underlined ones it is told by its words alone.
 */
export function quietButton(setting: Setting, { text }: Words, sign: Ink, edge: Ink) {
  const { chooser, lab, grounds, known, form } = setting
  const { quietLabel, quietLine, quietHoverLabel } = known
  const nearGround = (ink: Ink) => shading(ink) + inkDistance(ink, lab)
  const word = quietLabel ?? (form === 'underline' ? text : sign)
  const quietFill = known.quietFill ?? clearUnder(setting, word)
  const under = footingsOf(quietFill, grounds)
  const hoverFill = known.quietHoverFill ?? quietHover(setting, sign)
  const over = footingsOf(hoverFill, grounds)
  const read = (on: readonly Footing[]) => chooser.choose({ on, needs: TEXT, cost: nearGround })
  const hoverWord =
    form === 'solid' || form === 'outline' ? read(over) : wordsIn(setting, sign, over)
  return {
    quietFill,
    quietLabel: quietLabel ?? (reads(word, under, TEXT) ? word : read(under)),
    quietLine: quietLine ?? edge,
    quietHoverFill: hoverFill,
    quietHoverLabel: quietHoverLabel ?? hoverWord,
  }
}
