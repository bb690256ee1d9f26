import { toOklch } from '../color'
import { decisionColor } from '../resolve'
import {
  themesInOrder,
  type ColorDecision,
  type Frame,
  type Theme,
  type ThemeId,
  type ThemeRoles,
} from '../site'
import { groundKind, themeGenerator, type PaletteColor, type SlotDecision } from '../theme'
import { paletteColors } from './generated'

/** Lightness (OKLCH, 0…1) of the first dark ground, and how far those after it stand apart. */
const [DEEPEST, APART, HIGHEST] = [0.19, 0.035, 0.34]

/** The shade of a slot that has a lightness, opaque. */
function atLightness({ id, color }: PaletteColor, lightness: number): SlotDecision {
  const offset = Math.round((lightness - toOklch(color).l) * 100)
  const alpha = color.alpha < 1 ? { alpha: Math.ceil((1 - color.alpha) * 100) } : {}
  const shade = { ...(offset ? { lightness: offset } : {}), ...alpha }
  return Object.keys(shade).length ? { slot: id, shade } : { slot: id }
}

/**
 * The dark edition of a site's themes, from the same palette: pale grounds turn
 * into dark shades, the darkest for the palest; grounds that are dark already
 * are lifted a little, so that the rhythm of the page stays; vivid ones keep
 * their hue, deeper. All pairs hold as in every generated theme. Empty without a
 * filled slot.
 */
export function darkEdition({ palette, themes }: Frame): Record<ThemeId, ThemeRoles> {
  const colors = paletteColors(palette)
  if (colors.length === 0) return {}
  const generate = themeGenerator(colors)
  const darkest = colors.reduce((best, each) =>
    toOklch(each.color).l < toOklch(best.color).l ? each : best,
  )
  let [pale, dark] = [0, 0]
  const entries = themesInOrder(themes).map((theme): [ThemeId, ThemeRoles] => {
    const ground = decisionColor(palette, theme.roles.ground)
    const kind = groundKind(ground)
    const slot = slotOf(theme, colors) ?? darkest
    const decision =
      kind === 'pale'
        ? atLightness(darkest, Math.min(HIGHEST, DEEPEST + APART * pale++))
        : kind === 'dark'
          ? atLightness(slot, Math.min(HIGHEST + 0.06, 0.28 + APART * dark++))
          : atLightness(slot, Math.min(toOklch(slot.color).l, 0.42))
    const roles = generate(decision, decisionColor(palette, decision as ColorDecision))
    return [theme.id, roles as unknown as ThemeRoles]
  })
  return Object.fromEntries(entries) as Record<ThemeId, ThemeRoles>
}

function slotOf({ roles }: Theme, colors: readonly PaletteColor[]): PaletteColor | undefined {
  return colors.find(({ id }) => 'slot' in roles.ground && id === roles.ground.slot)
}

/** The frame as it is after dark: every theme that has a dark edition shows it. */
export function afterDark(frame: Frame): Frame {
  const byId = Object.fromEntries(
    Object.entries(frame.themes.byId).map(([id, theme]) => [
      id,
      theme.dark ? { ...theme, roles: theme.dark } : theme,
    ]),
  )
  return { ...frame, themes: { ...frame.themes, byId } }
}
