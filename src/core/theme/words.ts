import { SHAPE, TEXT } from './chooser'
import { inkDistance, reads, worstContrast, type Ink } from './inks'
import { CHANGED, extreme, off, shading, type Setting } from './setting'

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
    chooser.choose({
      ...on,
      cost: (ink, ratio) =>
        shading(ink) * 0.6 +
        extreme(ink) +
        off(ratio, 11.5) * 0.6 +
        ink.chroma * 2 +
        (ink.from === heading.from ? 0 : 0.15),
    })
  const mutedText =
    known.mutedText ??
    chooser.choose({
      ...on,
      not: [text],
      cost: (ink, ratio) => shading(ink) * 0.7 + off(ratio, 5.6) + ink.chroma * 2,
    })
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
    opaque: true,
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
    opaque: true,
    cost: (ink) => shading(ink) + inkDistance(ink, sign),
  })
}
