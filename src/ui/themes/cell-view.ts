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

/** The decisions that a cell's view comes from, and whether its own is by hand. */
function sourcesOf({ roles: decided, hand }: Theme, role: RoleId): readonly unknown[] {
  const { on } = roles[role]
  return [
    decided[role],
    decided.ground,
    decided.surface,
    ...on.map((each) => decided[each]),
    hand.includes(role),
  ]
}

interface Made {
  readonly sources: readonly unknown[]
  readonly view: CellView
}

const views = new WeakMap<Palette, Map<string, Made>>()

/**
 * The view of a cell. An edit leaves the decisions that it does not touch the
 * very same objects, so a view whose decisions are the same is not made anew.
 */
export function cellView(palette: Palette, theme: Theme, role: RoleId): CellView {
  const known = views.get(palette) ?? new Map<string, Made>()
  views.set(palette, known)
  const key = `${theme.id}/${role}`
  const sources = sourcesOf(theme, role)
  const made = known.get(key)
  if (made?.sources.every((source, i) => source === sources[i])) return made.view
  const view = viewOf(palette, theme, role)
  known.set(key, { sources, view })
  return view
}
