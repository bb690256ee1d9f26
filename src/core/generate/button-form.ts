import { canonicalJson, themesInOrder, type Frame, type Theme, type ThemeRoles } from '../site'
import { roleIds, roles as roleTable, type RoleId } from '../roles'
import type { ButtonForm } from '../traits'
import { themeReading } from '../resolve'
import { afterDark } from './dark-edition'
import { roleMaker } from './generated'
import type { AnewCell } from './regeneration'

/** The roles of buttons: they are what a form is made of. */
const ofButtons = roleIds.filter((id) => /button/i.test(roleTable[id].group))

/** Where the colour that a button is known by stands in each form, and what is read on it. */
const known: Readonly<Record<ButtonForm, readonly [fill: RoleId, label: RoleId] | undefined>> = {
  solid: ['buttonFill', 'buttonLabel'],
  outline: ['buttonHoverFill', 'buttonHoverLabel'],
  soft: ['buttonHoverFill', 'buttonHoverLabel'],
  underline: undefined,
}

/** What goes along from one form to another: the colour that buttons are known by, and the words on it. */
function carried(from: ButtonForm, to: ButtonForm): ReadonlyArray<readonly [RoleId, RoleId]> {
  const [before, after] = [known[from], known[to]]
  return before && after ? before.map((role, i) => [role, after[i]!] as const) : []
}

interface Forming {
  readonly frame: Frame
  readonly form: ButtonForm
  readonly dark?: true
}

function cellsOf({ frame, form, dark }: Forming, theme: Theme): AnewCell[] {
  const make = roleMaker({ palette: frame.palette, settings: { buttonForm: form } })
  if (!make) return []
  const moves = carried(frame.settings.buttonForm, form)
  const others = roleIds.filter((id) => id !== 'ground' && !ofButtons.includes(id))
  const stays = Object.fromEntries(others.map((id) => [id, theme.roles[id]]))
  const reads = (roles: ThemeRoles) =>
    ofButtons.every((id) => themeReading(frame.palette, { ...theme, roles }, id)?.passes !== false)
  // What it was known by may be nothing that can be read in the new form, or its words on it.
  const ways = moves.map((_, i) => moves.slice(0, moves.length - i))
  const tried = [...ways, []].map((taken) => ({
    taken,
    roles: make(theme.roles.ground, {
      ...stays,
      ...Object.fromEntries(taken.map(([from, to]) => [to, theme.roles[from]])),
    }),
  }))
  const { taken, roles: chosen } = tried.find(({ roles }) => reads(roles)) ?? tried.at(-1)!
  const isByHand = (role: RoleId) =>
    taken.some(([from, to]) => to === role && theme.hand.includes(from))
  return ofButtons.flatMap((role) => {
    const [before, decision, hand] = [theme.roles[role], chosen[role], isByHand(role)]
    const same = canonicalJson(before) === canonicalJson(decision)
    if (same && theme.hand.includes(role) === hand) return []
    return [{ theme: theme.id, role, decision, hand, ...(dark ? { dark } : {}) }]
  })
}

/**
 * What the colours of buttons become in all themes, in both editions, when a site gives its buttons
 * another form. The colour that they are known by stays wherever it can be read; all that is not of
 * buttons stays as it is. None without a filled slot.
 */
export function cellsOfForm(frame: Frame, form: ButtonForm): AnewCell[] {
  const light = themesInOrder(frame.themes).flatMap((theme) => cellsOf({ frame, form }, theme))
  if (frame.edition === 'light') return light
  const after = themesInOrder(afterDark(frame).themes)
  return [...light, ...after.flatMap((theme) => cellsOf({ frame, form, dark: true }, theme))]
}
