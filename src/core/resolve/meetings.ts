import type { Color } from '../color'
import { rolePairs } from '../elements'
import type { RoleId } from '../roles'
import { isBound, themesInOrder, type Palette, type SlotId, type Theme, type Themes } from '../site'
import { decisionColor } from './decision'
import { seenRole } from './theme-reading'

/** A pair that meets in a theme, seen from one of its two roles. */
export interface Meeting {
  readonly theme: Theme
  readonly role: RoleId
  readonly on: RoleId
  readonly needs: number
  /** The colour on the other side, and whether the side asked about is the ground of the pair. */
  readonly other: Color
  readonly isGround: boolean
}

/** What a role of a theme meets: what it stands on, and what stands on it. */
export function roleMeetings(palette: Palette, theme: Theme, role: RoleId): Meeting[] {
  return rolePairs.flatMap((pair): Meeting[] => {
    if (pair.role === role) {
      return [{ ...pair, theme, other: seenRole(palette, theme, pair.on), isGround: false }]
    }
    if (pair.on !== role) return []
    const other = decisionColor(palette, theme.roles[pair.role])
    return [{ ...pair, theme, other, isGround: true }]
  })
}

/** What a slot itself, not its shades, meets in all themes. */
export function slotMeetings(palette: Palette, themes: Themes, slot: SlotId): Meeting[] {
  return themesInOrder(themes).flatMap((theme) =>
    (Object.keys(theme.roles) as RoleId[]).flatMap((role) => {
      const decision = theme.roles[role]
      const own = isBound(decision) && decision.slot === slot && !decision.shade
      return own ? roleMeetings(palette, theme, role) : []
    }),
  )
}
