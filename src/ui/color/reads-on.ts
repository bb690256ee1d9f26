import type { Meeting } from '@/core/resolve'
import { roleName } from '@/core/roles'
import type { ReadsOn } from './readings'

/** Meetings of a slot or a role as rows of readings, each once. */
export function readsOnOf(meetings: readonly Meeting[]): ReadsOn[] {
  const rows = meetings.map(({ theme, role, on, needs, other, isGround }) => ({
    label: `${theme.name}: ${roleName(role).toLowerCase()} on ${roleName(on).toLowerCase()}`,
    other,
    isGround,
    needs,
  }))
  return [...new Map(rows.map((row) => [row.label, row])).values()]
}
