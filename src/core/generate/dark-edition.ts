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
import { groundKind, roleIds, type PaletteColor, type RoleId, type SlotDecision } from '../theme'
import { changesOf, decisionsOf, paletteColors, roleMaker, type Regeneration } from './generated'

/** Lightness (OKLCH, 0…1) of the first dark ground, and how far those after it stand apart. */
const [DEEPEST, APART, HIGHEST] = [0.19, 0.035, 0.34]

/** The shade of a slot that has a lightness, opaque. */
function atLightness({ id, color }: PaletteColor, lightness: number): SlotDecision {
  const offset = Math.round((lightness - toOklch(color).l) * 100)
  const alpha = color.alpha < 1 ? { alpha: Math.ceil((1 - color.alpha) * 100) } : {}
  const shade = { ...(offset ? { lightness: offset } : {}), ...alpha }
  return Object.keys(shade).length ? { slot: id, shade } : { slot: id }
}

/** The ground that each theme has after dark, unless a person decided another. */
function darkGrounds({ palette, themes }: Frame): ReadonlyArray<readonly [Theme, ColorDecision]> {
  const colors = paletteColors(palette)
  if (colors.length === 0) return []
  const darkest = colors.reduce((best, each) =>
    toOklch(each.color).l < toOklch(best.color).l ? each : best,
  )
  let [pale, dark] = [0, 0]
  return themesInOrder(themes).map((theme) => {
    const kind = groundKind(decisionColor(palette, theme.roles.ground))
    const slot = slotOf(theme, colors) ?? darkest
    const ground =
      kind === 'pale'
        ? atLightness(darkest, Math.min(HIGHEST, DEEPEST + APART * pale++))
        : kind === 'dark'
          ? atLightness(slot, Math.min(HIGHEST + 0.06, 0.28 + APART * dark++))
          : atLightness(slot, Math.min(toOklch(slot.color).l, 0.42))
    return [theme, ground as ColorDecision]
  })
}

interface Overruling {
  /** What a person decided is made anew as well. */
  readonly overrule?: boolean
}

/**
 * The dark edition of a site's themes, from the same palette: pale grounds turn
 * into dark shades, the darkest for the palest; grounds that are dark already
 * are lifted a little, so that the rhythm of the page stays; vivid ones keep
 * their hue, deeper. All pairs hold as in every generated theme. What a person
 * decided after dark stays, and the rest is made around it. Empty without a
 * filled slot.
 */
export function darkEdition(
  frame: Frame,
  { overrule = false }: Overruling = {},
): Record<ThemeId, ThemeRoles> {
  const make = roleMaker(frame.palette)
  const entries = darkGrounds(frame).map(([{ id, dark, darkHand = [] }, ground]) => {
    const hand = overrule || !dark ? [] : darkHand
    const own = hand.includes('ground') ? dark!.ground : ground
    return [id, make!(own, dark && decisionsOf(dark, hand))]
  })
  return Object.fromEntries(entries) as Record<ThemeId, ThemeRoles>
}

/** The dark edition with some roles generated, around what a person decided of the others. */
export function generatedAfterDark(
  frame: Frame,
  wanted: readonly RoleId[],
): Record<ThemeId, ThemeRoles> {
  const { themes } = frame
  const byId = Object.fromEntries(
    Object.entries(themes.byId).map(([id, theme]) => [
      id,
      { ...theme, darkHand: theme.darkHand?.filter((role) => !wanted.includes(role)) },
    ]),
  )
  return darkEdition({ ...frame, themes: { ...themes, byId } })
}

/** What generating the dark edition anew would do to the one that a site has. */
export function planDarkEdition(frame: Frame, { overrule = false }: Overruling = {}): Regeneration {
  const shown = themesInOrder(afterDark(frame).themes)
  const afresh = darkEdition(frame, { overrule: true })
  const around = overrule ? afresh : darkEdition(frame)
  const differing = (after: Record<ThemeId, ThemeRoles>, of: (theme: Theme) => readonly RoleId[]) =>
    shown.flatMap((theme) => {
      const roles = after[theme.id]
      return roles ? changesOf(theme, roles, of(theme)) : []
    })
  return {
    changes: differing(around, () => roleIds),
    kept: overrule ? [] : differing(afresh, ({ hand }) => hand),
    add: [],
  }
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

function slotOf({ roles }: Theme, colors: readonly PaletteColor[]): PaletteColor | undefined {
  return colors.find(({ id }) => 'slot' in roles.ground && id === roles.ground.slot)
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
