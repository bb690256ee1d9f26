import { writeHex, writeRatio } from '@/core/color'
import { writeDecision } from '@/core/edit'
import { seenRole, themeReading } from '@/core/resolve'
import { isBound, type Palette, type Theme } from '@/core/site'
import { roles, type RoleId } from '@/core/theme'

/** All that a cell shows, as texts: a cell whose view is the same is not drawn again. */
export interface CellView {
  readonly words: string
  /** The colour itself and what it is drawn on, hex. */
  readonly color: string
  readonly ground: string
  readonly ratio?: string
  readonly needs?: number
  readonly passes: boolean
  readonly loose: boolean
  readonly hand: boolean
}

function viewOf(palette: Palette, theme: Theme, role: RoleId): CellView {
  const reading = themeReading(palette, theme, role)
  const decision = theme.roles[role]
  return {
    words: writeDecision(palette, decision),
    color: writeHex(seenRole(palette, theme, role)),
    ground: writeHex(seenRole(palette, theme, reading?.on ?? roles[role].on[0] ?? 'ground')),
    ...(reading ? { ratio: writeRatio(reading.ratio), needs: reading.needs } : {}),
    passes: reading?.passes ?? true,
    loose: !isBound(decision),
    hand: theme.hand.includes(role),
  }
}

const views = new WeakMap<Palette, WeakMap<Theme, Map<RoleId, CellView>>>()

/** The view of a cell, made once for a palette and a theme as they are. */
export function cellView(palette: Palette, theme: Theme, role: RoleId): CellView {
  const ofPalette = views.get(palette) ?? new WeakMap<Theme, Map<RoleId, CellView>>()
  views.set(palette, ofPalette)
  const ofTheme = ofPalette.get(theme) ?? new Map<RoleId, CellView>()
  ofPalette.set(theme, ofTheme)
  const view = ofTheme.get(role) ?? viewOf(palette, theme, role)
  ofTheme.set(role, view)
  return view
}
