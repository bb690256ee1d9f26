import { SHAPE, TEXT, type Want } from './chooser'
import { statusHues } from '../palette'
import { footingsOf, inkDistance, reads, type Ink } from './inks'
import { off, shading, those, type Setting } from './setting'
import { faintOn, isWithin, strongOn } from './words'

/** Distance from which two marks of news are told apart, OKLab. Common practice, no source. */
const NEWS_APART = 0.09

/** How far the ground of fields goes from that of cards for the sake of a hint that is given, OKLab lightness. Common practice, no source. */
const NEIGHBOUR = 0.15

type News = keyof typeof statusHues
/** Bad news is found first, for it matters most that it is seen as what it is. */
const NEWS: readonly News[] = ['danger', 'warning', 'success']

function hueGap(ink: Ink, hue: number): number {
  if (ink.chroma < 0.03) return 0.5
  const own = (Math.atan2(ink.b, ink.a) * 180) / Math.PI
  const gap = Math.abs(((own - hue + 540) % 360) - 180)
  return gap / 180
}

/** Dividers, icons, the focus ring, and what is good, doubtful or bad news. */
export function marksOn({ chooser, base, lab, grounds, known }: Setting, edge: Ink) {
  const groundChroma = Math.hypot(lab.a, lab.b)
  const given = those(NEWS.map((role) => known[role]))
  const news = {} as Record<News, Ink>
  for (const role of NEWS) {
    news[role] =
      known[role] ??
      chooser.choose({
        on: grounds,
        needs: TEXT,
        not: [...given, ...Object.values(news)],
        apart: NEWS_APART,
        news: true,
        cost: (ink) => hueGap(ink, statusHues[role]) * 2 + shading(ink) * 0.5,
      })
  }
  return {
    line:
      known.line ??
      chooser.choose({
        on: base,
        needs: 1,
        cost: (ink, ratio) =>
          off(ratio, 1.45) + shading(ink) * 0.4 + Math.abs(ink.chroma - groundChroma) * 2,
      }),
    accent:
      known.accent ??
      chooser.choose({
        on: grounds,
        needs: SHAPE,
        cost: (ink) => shading(ink) * 1.5 - Math.min(ink.chroma, 0.2) * 5,
      }),
    focus: known.focus ?? edge,
    ...news,
  }
}

/**
 * The ground of fields whose given words cannot be read on that of cards. What is typed may ask for
 * any ground; a hint only for one that is a little lighter or darker: one hint by hand makes no
 * field of a pale theme black. It cannot be read then, which is reported.
 */
function fieldFor({ chooser, base, known }: Setting, cards: Ink, bears: readonly Ink[]): Ink {
  const cost = (ink: Ink) => shading(ink) + inkDistance(ink, cards)
  const want: Want = { on: base, needs: 1, bears, cost }
  if (known.fieldText) return chooser.choose(want)
  const isNear = (ink: Ink) => Math.abs(ink.l - cards.l) <= NEIGHBOUR
  return chooser.find({ ...want, fits: isNear }) ?? cards
}

/** Form fields: on the ground of cards, unless given words ask for another. */
export function fieldOn(
  setting: Setting,
  cards: Ink,
  { text, mutedText }: Readonly<Record<'text' | 'mutedText', Ink>>,
) {
  const { chooser, grounds, known } = setting
  const bears = those([known.fieldText, known.fieldHint])
  const onCards = footingsOf(cards, grounds)
  const isReadable = bears.every((ink) => reads(ink, onCards, TEXT))
  const fieldGround = known.fieldGround ?? (isReadable ? cards : fieldFor(setting, cards, bears))
  const on = footingsOf(fieldGround, grounds)
  const typed: Want = {
    on,
    needs: TEXT,
    cost: (ink, ratio) => shading(ink) * 0.6 + off(ratio, 11.5) + ink.chroma * 2,
  }
  const { fieldHint } = known
  const isStrong = reads(text, on, TEXT) && (!fieldHint || isWithin(fieldHint, text, on))
  const fieldText = known.fieldText ?? (isStrong ? text : strongOn(setting, typed, fieldHint))
  const isFaint = reads(mutedText, on, TEXT) && isWithin(mutedText, fieldText, on)
  return {
    fieldGround,
    fieldText,
    fieldHint: fieldHint ?? (isFaint ? mutedText : faintOn(setting, on, fieldText)),
    fieldLine:
      known.fieldLine ??
      chooser.choose({
        on: grounds,
        needs: SHAPE,
        cost: (ink, ratio) => shading(ink) * 0.7 + off(ratio, 3.8) + ink.chroma * 2,
      }),
  }
}
