import { mapToGamut, over, toOklab, white, writeHex, type Color } from '../color'
import { groundsOfRole, rolePairs, type RolePair } from '../elements'
import { roleIds, roles, type RoleId } from '../roles'
import type { ButtonForm } from '../traits'
import { mainButton, quietButton } from './buttons'
import { Chooser, TEXT } from './chooser'
import { footing, reads, type Decision, type Footing, type Ink, type PaletteColor } from './inks'
import { fieldOn, marksOn } from './marks'
import type { KnownInks, Lab } from './setting'
import { settled } from './settle'
import { edgeOn, signOn, wordsOn } from './words'

export type GeneratedRoles = Readonly<Record<RoleId, Decision>>

/** Roles that are decided already, each with the colour that it comes to. */
export type GivenRoles = Readonly<
  Partial<Record<RoleId, { readonly decision: Decision; readonly color: Color }>>
>

/**
 * Generates full themes out of a palette's slots and their shades alone, one
 * for each ground it is asked for. Every pair of the role table holds WCAG 2.2
 * AA: text is chosen among what reads on ground and cards alike, and black and
 * white, which every slot's shades end in, always hold one of the two on any
 * ground (the least is 4.58:1). What is given stays; all else is chosen so that
 * it reads on, under and beside it. Then a pair may fail only where both of it
 * are given, or where what is given leaves no colour that reads; a hint that is
 * given moves the ground of fields no further than to a neighbour. The same
 * palette gives the same theme. Colours outside of sRGB are taken as they are
 * painted, mapped into it. Needs at least one filled slot. The pairs are those
 * that the kinds of element bring together, unless others are asked for. Buttons
 * take their colours after the form that the site gives them.
 */
export function themeGenerator(
  palette: readonly PaletteColor[],
  form: ButtonForm = 'solid',
  pairs: readonly RolePair[] = rolePairs,
): (ground: Decision, groundColor: Color, given?: GivenRoles) => GeneratedRoles {
  const chooser = new Chooser(palette)
  return (ground, groundColor, given = {}) =>
    themeOn({ chooser, pairs, form }, ground, mapToGamut(groundColor), given)
}

function knownInks(chooser: Chooser, given: GivenRoles): KnownInks {
  return Object.fromEntries(
    Object.entries(given).map(([role, { decision, color }]) => [
      role,
      chooser.given(decision, mapToGamut(color)),
    ]),
  )
}

/** A ground that lets everything through. */
function cleared(chooser: Chooser, ground: Decision, groundColor: Color): Ink {
  const color = { ...groundColor, alpha: 0 }
  return chooser.given(
    'slot' in ground
      ? { slot: ground.slot, shade: { ...ground.shade, alpha: -100 } }
      : { value: writeHex(color) },
    color,
  )
}

interface Making {
  readonly chooser: Chooser
  readonly pairs: readonly RolePair[]
  readonly form: ButtonForm
}

function themeOn(
  { chooser, pairs, form }: Making,
  ground: Decision,
  groundColor: Color,
  given: GivenRoles,
): GeneratedRoles {
  const known = knownInks(chooser, given)
  const seen = over(groundColor, white)
  const base = [footing(seen)] as const
  const lab = toOklab(seen)
  const clear = cleared(chooser, ground, groundColor)
  const surface = known.surface ?? surfaceOn(chooser, base, lab, known)
  const grounds = surface ? [...base, footing(over(surface.color, seen))] : base
  // Cards take the ground where no other colour would leave text readable on both.
  const cards = surface ?? (groundColor.alpha < 1 ? clear : chooser.given(ground, seen))
  const setting = { chooser, base, lab, clear, grounds, known, form }
  const words = wordsOn(setting)
  const sign = signOn(setting, words)
  const edge = edgeOn(setting, sign)
  const inks = {
    surface: cards,
    ...words,
    ...mainButton(setting, words, edge),
    ...quietButton(setting, words, sign, edge),
    ...marksOn(setting, edge),
    ...fieldOn(setting, cards, words),
  }
  return { ground, ...decisions(settled(setting, inks, pairs)) }
}

function decisions<Key extends string>(inks: Readonly<Record<Key, Ink>>): Record<Key, Decision> {
  const entries = Object.entries<Ink>(inks).map(([role, { decision }]) => [role, decision])
  return Object.fromEntries(entries) as Record<Key, Decision>
}

/** The roles of the table that stand on ground and cards alike. */
const ON_GROUNDS = roleIds.filter((id) => groundsOfRole(id).includes('surface'))

/**
 * The ground of cards: a neighbour of the ground that leaves text readable on
 * both, what is given included. Pale grounds take a lighter card, if there is
 * one; very dark grounds a lighter one, others a darker one. Undefined where
 * nothing fits.
 */
function surfaceOn(
  chooser: Chooser,
  base: readonly [Footing],
  { l, a, b }: Lab,
  known: KnownInks,
): Ink | undefined {
  const [{ luminance }] = base
  const borne = ON_GROUNDS.flatMap((id) => {
    const [ink, needs] = [known[id], roles[id].needs!]
    return ink && reads(ink, base, needs) ? [{ ink, needs }] : []
  })
  // Whether black reads better on the ground than white does.
  const isPale = (luminance + 0.05) ** 2 > 1.05 * 0.05
  const isDeep = luminance < 0.06
  const wishes = isPale ? [0.045, -0.04] : isDeep ? [0.06, -0.05] : [-0.06, 0.06]
  for (const step of wishes) {
    const found = chooser.nearest(l + step, a, b, (ink) => {
      const gap = (ink.l - l) * Math.sign(step)
      if (gap < 0.012 || gap > 0.14) return false
      if (!borne.every((each) => reads(each.ink, [ink], each.needs))) return false
      // The strongest text of the ground's own side still reads on both.
      return isPale
        ? (Math.min(luminance, ink.luminance) + 0.05) / 0.05 >= TEXT
        : 1.05 / (Math.max(luminance, ink.luminance) + 0.05) >= TEXT
    })
    if (found) return found
  }
  return undefined
}
