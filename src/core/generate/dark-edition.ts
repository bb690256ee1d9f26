import { toOklch } from '../color'
import { decisionColor } from '../resolve'
import type { RoleId } from '../roles'
import {
  isBound,
  themesInOrder,
  type ColorDecision,
  type Frame,
  type Theme,
  type ThemeId,
  type ThemeRoles,
} from '../site'
import { atLightness, groundKind } from '../theme'
import { byHand, paletteColors, roleMaker } from './generated'

/** Lightness (OKLCH, 0…1) of the first dark ground, and how far those after it stand apart. */
const [DEEPEST, APART, HIGHEST] = [0.19, 0.035, 0.34]

/** The ground that each theme has after dark, unless a person decided another. */
function darkGrounds({ palette, themes }: Frame): ReadonlyArray<readonly [Theme, ColorDecision]> {
  const colors = paletteColors(palette)
  const lightness = colors.map(({ color }) => toOklch(color).l)
  const darkest = lightness.indexOf(Math.min(...lightness))
  let [pale, dark] = [0, 0]
  return themesInOrder(themes).map((theme) => {
    const { ground } = theme.roles
    const own = colors.findIndex(({ id }) => isBound(ground) && id === ground.slot)
    const slot = own < 0 ? darkest : own
    const kind = groundKind(decisionColor(palette, ground))
    const after =
      kind === 'pale'
        ? atLightness(colors, darkest, Math.min(HIGHEST, DEEPEST + APART * pale++))
        : kind === 'dark'
          ? atLightness(colors, slot, Math.min(HIGHEST + 0.06, 0.28 + APART * dark++))
          : atLightness(colors, slot, Math.min(lightness[slot]!, 0.42))
    return [theme, after.decision as ColorDecision]
  })
}

/**
 * The dark edition of a site's themes, from the same palette: pale grounds turn
 * into dark shades, the darkest for the palest; grounds that are dark already
 * are lifted a little, so that the rhythm of the page stays; vivid ones keep
 * their hue, deeper. All pairs hold as in every generated theme. What a person
 * decided after dark stays, except for the roles that are `free`, and the rest
 * is made around it. Empty without a filled slot.
 */
export function darkEdition(
  frame: Frame,
  free: readonly RoleId[] = [],
): Record<ThemeId, ThemeRoles> {
  const make = roleMaker(frame)
  if (!make) return {}
  const entries = darkGrounds(frame).map(([{ id, dark, darkHand = [] }, ground]) => {
    const stays = dark && darkHand.includes('ground') && !free.includes('ground')
    return [id, make(stays ? dark.ground : ground, dark && byHand(dark, darkHand, free))]
  })
  return Object.fromEntries(entries) as Record<ThemeId, ThemeRoles>
}

/** New themes as they join a site: with a dark edition, where it has one. */
export function withDark(frame: Frame, added: readonly Theme[]): Theme[] {
  if (frame.edition === 'light') return [...added]
  const { order, byId } = frame.themes
  const all = {
    order: [...order, ...added.map(({ id }) => id)],
    byId: { ...byId, ...Object.fromEntries(added.map((theme) => [theme.id, theme])) },
  }
  const dark = darkEdition({ ...frame, themes: all })
  return added.map((theme) => ({ ...theme, dark: dark[theme.id] ?? theme.roles }))
}

/** The frame as it is after dark: every theme that has a dark edition shows it. */
export function afterDark(frame: Frame): Frame {
  const byId = Object.fromEntries(
    Object.entries(frame.themes.byId).map(([id, theme]) => [
      id,
      theme.dark ? { ...theme, roles: theme.dark, hand: theme.darkHand ?? [] } : theme,
    ]),
  )
  return { ...frame, themes: { ...frame.themes, byId } }
}
