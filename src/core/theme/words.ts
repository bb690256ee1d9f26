import { SHAPE, TEXT, type Want } from './chooser'
import { inkContrast, inkDistance, reads, worstContrast, type Footing, type Ink } from './inks'
import { CHANGED, extreme, off, shading, type Setting } from './setting'

/** Whether an ink nowhere reads stronger than another. */
export const isWithin = (ink: Ink, most: Ink, on: readonly Footing[]): boolean =>
  on.every((ground) => inkContrast(ink, ground) <= inkContrast(most, ground))

/** Words that come after others: told apart from them where that can be, and never reading stronger. */
export function faintOn(
  { chooser }: Pick<Setting, 'chooser'>,
  on: readonly Footing[],
  first: Ink,
): Ink {
  const want: Want = {
    on,
    needs: TEXT,
    not: [first],
    cost: (ink, ratio) => shading(ink) * 0.7 + off(ratio, 5.6) + ink.chroma * 2,
  }
  const found = chooser.find({ ...want, fits: (ink) => isWithin(ink, first, on) })
  return found ?? (reads(first, on, TEXT) ? first : chooser.choose(want))
}

/** Words that are read first, among what reads at least as strong as those that come after, where any does. */
export function strongOn(
  { chooser }: Pick<Setting, 'chooser'>,
  want: Want,
  second: Ink | undefined,
): Ink {
  const found = second && chooser.find({ ...want, fits: (ink) => isWithin(second, ink, want.on) })
  return found ?? chooser.choose(want)
}

/** The inks of all that is read: heading, text, muted text, links. */
export function wordsOn(setting: Setting) {
  const { chooser, grounds, known } = setting
  const on = { on: grounds, needs: TEXT }
  const heading =
    known.heading ??
    chooser.choose({
      ...on,
      cost: (ink, ratio) => shading(ink) + extreme(ink) + off(ratio, 15) * 0.5,
    })
  const text =
    known.text ??
    strongOn(
      setting,
      {
        ...on,
        cost: (ink, ratio) =>
          shading(ink) * 0.6 +
          extreme(ink) +
          off(ratio, 11.5) * 0.6 +
          ink.chroma * 2 +
          (ink.from === heading.from ? 0 : 0.15),
      },
      known.mutedText,
    )
  const mutedText = known.mutedText ?? faintOn(setting, grounds, text)
  const link = known.link ?? linkOn(setting, [text, heading])
  const linkRatio = worstContrast(link, grounds)
  const linkHover =
    known.linkHover ??
    chooser.choose({
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

function linkOn({ chooser, grounds }: Setting, not: readonly Ink[]): Ink {
  return chooser.choose({
    on: grounds,
    needs: TEXT,
    not,
    cost: (ink, ratio) =>
      shading(ink) * 1.2 - Math.min(ink.chroma, 0.14) * 2.2 + off(ratio, 6.5) * 0.3,
  })
}

/** What marks things to act on: the link's colour, unless it was given and cannot be read, or lets through. */
export function signOn(setting: Setting, { link, text, heading }: ReturnType<typeof wordsOn>): Ink {
  const serves = link.color.alpha === 1 && reads(link, setting.grounds, TEXT)
  return serves ? link : linkOn(setting, [text, heading])
}

/** The same for outlines and focus rings, which need less and may be found where no word reads. */
export function edgeOn({ chooser, grounds }: Setting, sign: Ink): Ink {
  if (reads(sign, grounds, SHAPE)) return sign
  return chooser.choose({
    on: grounds,
    needs: SHAPE,
    cost: (ink) => shading(ink) + inkDistance(ink, sign),
  })
}
