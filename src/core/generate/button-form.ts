import { canonicalJson, type Frame, type Theme, type ThemeRoles } from '../site'
import { roleIds, roles as roleTable, type RoleId } from '../roles'
import type { ButtonForm } from '../traits'
import { themeReading } from '../resolve'
import { roleMaker } from './generated'
import { cellsByEdition, type AnewCell } from './regeneration'

/** The roles of buttons: they are what a form is made of. */
const ofButtons = roleIds.filter((id) => /button/i.test(roleTable[id].group))

/** Where the colour that a button is known by stands in each form, and what is read on it. */
const known: Readonly<Record<ButtonForm, readonly [fill: RoleId, label: RoleId] | undefined>> = {
  solid: ['buttonFill', 'buttonLabel'],
  outline: ['buttonHoverFill', 'buttonHoverLabel'],
  soft: ['buttonHoverFill', 'buttonHoverLabel'],
  underline: undefined,
}

type Moves = ReadonlyArray<readonly [from: RoleId, to: RoleId]>
type Maker = NonNullable<ReturnType<typeof roleMaker>>

/** What goes along from one form to another: the colour that buttons are known by, and the words on it. */
function carried(from: ButtonForm, to: ButtonForm): Moves {
  const [before, after] = [known[from], known[to]]
  return before && after ? before.map((role, i) => [role, after[i]!] as const) : []
}

/** What of the colours of buttons goes along, as far as all that is then made around it can be read. */
function formed({ palette }: Frame, theme: Theme, make: Maker, moves: Moves) {
  const others = roleIds.filter((id) => id !== 'ground' && !ofButtons.includes(id))
  const stays = Object.fromEntries(others.map((id) => [id, theme.roles[id]]))
  const reads = (roles: ThemeRoles) =>
    ofButtons.every((id) => themeReading(palette, { ...theme, roles }, id)?.passes !== false)
  // What it was known by may be nothing that can be read in the new form, or its words on it.
  for (let count = moves.length; ; count -= 1) {
    const taken = moves.slice(0, count)
    const along = taken.map(([from, to]) => [to, theme.roles[from]])
    const roles = make(theme.roles.ground, { ...stays, ...Object.fromEntries(along) })
    if (count === 0 || reads(roles)) return { taken, roles }
  }
}

/**
 * What the colours of buttons become in all themes, in both editions, when a site gives its buttons
 * another form. The colour that they are known by stays wherever it can be read; all that is not of
 * buttons stays as it is. None without a filled slot.
 */
export function cellsOfForm(frame: Frame, form: ButtonForm): AnewCell[] {
  const make = roleMaker({ palette: frame.palette, settings: { buttonForm: form } })
  if (!make) return []
  const moves = carried(frame.settings.buttonForm, form)
  return cellsByEdition(frame, (theme) => {
    const { taken, roles } = formed(frame, theme, make, moves)
    return ofButtons.flatMap((role) => {
      const hand = taken.some(([from, to]) => to === role && theme.hand.includes(from))
      const isSame = canonicalJson(theme.roles[role]) === canonicalJson(roles[role])
      if (isSame && theme.hand.includes(role) === hand) return []
      return [{ role, decision: roles[role], hand }]
    })
  })
}
