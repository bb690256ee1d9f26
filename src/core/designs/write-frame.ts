import type { RoleId } from '../roles'
import { usualShadeScale } from '../site'

/** Palette and themes of a site in short form; the frame's schema checks the result. */
type Decision = string | { readonly value: string }

/** `paper`, `brand-10` (ten points darker), `ink+8`, `paper~` (seen through). */
function decide(short: Decision): unknown {
  if (typeof short !== 'string') return short
  const [, slot, lightness] = /^([a-z]+)([+-]\d+)?$/.exec(short) ?? []
  if (short.endsWith('~')) return { slot: short.slice(0, -1), shade: { alpha: -100 } }
  return lightness ? { slot, shade: { lightness: Number(lightness) } } : { slot }
}

export function theme(id: string, name: string, roles: Record<RoleId, Decision>) {
  const decided = Object.entries(roles).map(([role, decision]) => [role, decide(decision)])
  return { id, name, roles: Object.fromEntries(decided), hand: [] }
}

export function themeSet(themes: ReadonlyArray<{ readonly id: string }>) {
  return {
    order: themes.map(({ id }) => id),
    byId: Object.fromEntries(themes.map((each) => [each.id, each])),
    original: [...themes],
  }
}

export function palette(
  slots: ReadonlyArray<readonly [id: string, name: string, value: string]>,
  was: Readonly<Record<string, string[]>> = {},
) {
  return {
    order: slots.map(([id]) => id),
    shades: usualShadeScale,
    original: slots.map(([id, name, value]) => ({ id, name, value })),
    slots: Object.fromEntries(
      slots.map(([id, name, value]) => [id, { id, name, value, was: was[id] ?? [] }]),
    ),
  }
}
