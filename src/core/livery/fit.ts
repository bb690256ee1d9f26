import { slotColor, decisionColor } from '../resolve'
import { cellsOfForm, darkEdition } from '../generate'
import { toOklab, writeHex } from '../color'
import {
  decidedIn,
  freeThemeName,
  heldBefore,
  idFromName,
  isBound,
  mostThemes,
  themeId,
  type ColorDecision,
  type ElementStyle,
  type Frame,
  type Slot,
  type SlotId,
  type Theme,
  type ThemeId,
  type ThemeRoles,
} from '../site'
import { settingIds, settings as settingTable, type Settings } from '../traits'
import type { Follow } from './follow'
import type { Livery, LiveryPart } from './livery'
import { fitSlots, type SlotFit } from './slots'
import { fitStyles } from './styles'
import { fitThemes, type ThemeFit } from './themes'

/** What a site looks like in a livery, and what of either is left. */
export interface Fitting {
  readonly frame: Frame
  /** Slots and styles of the site that the livery has nothing for: they stay as they are. */
  readonly staying: { readonly slots: readonly string[]; readonly styles: readonly string[] }
  /** Slots of the site that hold the same colour as another one now. */
  readonly sharing: readonly string[]
  /** Names of what of the livery could not come along, because the site holds the most it can. */
  readonly without: readonly string[]
}

const isOfType = (id: keyof Settings) => settingTable[id].group === 'Type'

function settingsWith(own: Settings, taken: Settings, parts: ReadonlySet<LiveryPart>): Settings {
  const some = settingIds.filter((id) => parts.has(isOfType(id) ? 'type' : 'shapes'))
  return { ...own, ...Object.fromEntries(some.map((id) => [id, taken[id]])) }
}

/** A slot with what another one holds; what it held before is remembered. */
const holding = (slot: Slot | undefined, id: SlotId, taken: Slot): Slot => ({
  ...taken,
  id,
  was: slot ? heldBefore(slot, taken.value) : [],
})

function paletteWith(palette: Frame['palette'], livery: Livery, { becomes, shares }: SlotFit) {
  const changed = [...becomes].map(
    ([from, to]) => [to, holding(palette.slots[to], to, livery.palette.slots[from]!)] as const,
  )
  const shared = [...shares].map(([id, from]) => {
    const { value, steps } = livery.palette.slots[from]!
    const { name } = palette.slots[id]!
    return [id, holding(palette.slots[id], id, { id, name, value, was: [], steps })] as const
  })
  const slots = { ...palette.slots, ...Object.fromEntries([...changed, ...shared]) }
  const fresh = changed.flatMap(([id]) => (palette.slots[id] ? [] : [id]))
  return { ...palette, slots, order: [...palette.order, ...fresh], shades: livery.palette.shades }
}

/** The slot whose colour is nearest to one, OKLab. */
function nearest(
  palette: Frame['palette'],
  slots: readonly SlotId[],
  to: ColorDecision,
  from: Frame['palette'],
) {
  const at = toOklab(decisionColor(from, to))
  const gap = (id: SlotId) => {
    const { l, a, b } = toOklab(slotColor(palette, id))
    return Math.hypot(l - at.l, a - at.a, b - at.b)
  }
  return slots.reduce<SlotId | undefined>(
    (best, id) => (best === undefined || gap(id) < gap(best) ? id : best),
    undefined,
  )
}

/**
 * What decisions of the livery become here: they follow the slots that took the place of theirs. One
 * that is not there is taken as the nearest of the palette where the palette stays, and as the colour
 * that it is where there was no room for it.
 */
function following(frame: Frame, livery: Livery, { becomes }: SlotFit): Follow {
  const { palette } = frame
  const filled = palette.order.filter((id) => (palette.slots[id]?.value ?? null) !== null)
  return (decision) => {
    if (!isBound(decision)) return decision
    const slot = becomes.get(decision.slot)
    if (slot && palette.slots[slot]) return { ...decision, slot }
    const instead = slot && nearest(palette, filled, decision, livery.palette)
    if (instead) return { slot: instead }
    return { value: writeHex(decisionColor(livery.palette, decision)) }
  }
}

const rolesWith = (roles: ThemeRoles, follow: Follow): ThemeRoles =>
  Object.fromEntries(
    Object.entries(roles).map(([role, decision]) => [role, follow(decision)]),
  ) as ThemeRoles

function themeOf(id: ThemeId, name: string, taken: Theme, follow: Follow): Theme {
  const { roles, hand, dark, darkHand } = taken
  return {
    id,
    name,
    roles: rolesWith(roles, follow),
    hand,
    ...(dark ? { dark: rolesWith(dark, follow), darkHand: darkHand ?? [] } : {}),
  }
}

/** The site’s themes, each in the colours of the one that takes its place, and those that are new. */
function themesWith(frame: Frame, { couples, rest }: ThemeFit, follow: Follow) {
  const made: Theme[] = []
  for (const { own, taken } of couples) {
    made.push(themeOf(own.id, freeThemeName(taken.name, made), taken, follow))
  }
  const room = Math.max(0, mostThemes - made.length)
  for (const taken of rest.slice(0, room)) {
    const id = themeId.parse(
      idFromName(
        taken.name,
        made.map((theme) => theme.id),
        'theme',
      ),
    )
    made.push(themeOf(id, freeThemeName(taken.name, made), taken, follow))
  }
  const byId = Object.fromEntries(made.map((theme) => [theme.id, theme]))
  return {
    themes: {
      ...frame.themes,
      order: made.map(({ id }) => id),
      byId: byId as Frame['themes']['byId'],
    },
    without: rest.slice(room).map(({ name }) => name),
  }
}

/** Every theme has a dark edition where the site has one. */
function afterDark(frame: Frame): Frame {
  if (frame.edition === 'light') return frame
  const lacking = Object.values(frame.themes.byId).filter(({ dark }) => !dark)
  if (lacking.length === 0) return frame
  const dark = darkEdition(frame)
  const byId = lacking.map((theme) => [theme.id, { ...theme, dark: dark[theme.id] ?? theme.roles }])
  return {
    ...frame,
    themes: { ...frame.themes, byId: { ...frame.themes.byId, ...Object.fromEntries(byId) } },
  }
}

/** Buttons in the colours of the form that they have, where it is not the one that their themes were made for. */
function inForm(frame: Frame, before: Settings['buttonForm']): Frame {
  const { buttonForm } = frame.settings
  if (buttonForm === before) return frame
  const asMade = { ...frame, settings: { ...frame.settings, buttonForm: before } }
  const byId = { ...frame.themes.byId }
  for (const cell of cellsOfForm(asMade, buttonForm)) {
    const { theme: id } = cell
    byId[id] = decidedIn(byId[id]!, cell)
  }
  return { ...frame, themes: { ...frame.themes, byId } }
}

const namesOf = (palette: Frame['palette'], ids: readonly SlotId[]) =>
  ids.flatMap((id) => palette.slots[id]?.name ?? [])

/**
 * A site in another livery, or in parts of one. Nothing that it says changes, nor does what its pages
 * refer to: slots, themes and styles keep their ids and take on what does the same in the livery.
 */
export function fitLivery(frame: Frame, livery: Livery, wanted: readonly LiveryPart[]): Fitting {
  const parts = new Set(wanted)
  const themeFit = fitThemes(frame, livery)
  const slotFit = fitSlots(frame.palette, livery, themeFit.couples)
  const palette = parts.has('palette') ? paletteWith(frame.palette, livery, slotFit) : frame.palette
  const settings = settingsWith(frame.settings, livery.settings, parts)
  const painted: Frame = { ...frame, palette, settings }
  const follow = following(painted, livery, slotFit)
  const themed = parts.has('themes') ? themesWith(frame, themeFit, follow) : undefined
  const styled = parts.has('styles') ? fitStyles(frame.styles, livery.styles, follow) : undefined
  const madeFor = (themed ? livery : frame).settings.buttonForm
  const after = inForm(
    afterDark({
      ...painted,
      ...(themed ? { themes: themed.themes } : {}),
      ...(styled ? { styles: styled.styles } : {}),
    }),
    madeFor,
  )
  const named = (styles: readonly ElementStyle[] = []) => styles.map(({ name }) => name)
  return {
    frame: after,
    staying: {
      slots: parts.has('palette') ? namesOf(frame.palette, slotFit.stays) : [],
      styles: named(styled?.stays),
    },
    sharing: parts.has('palette') ? namesOf(frame.palette, [...slotFit.shares.keys()]) : [],
    without: [
      ...(parts.has('palette') ? namesOf(livery.palette, slotFit.without) : []),
      ...(themed?.without ?? []),
      ...named(styled?.without),
    ],
  }
}
