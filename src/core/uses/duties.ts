import { roleIds, type RoleId } from '../roles'
import { isBound, themesInOrder, type Frame, type SlotId } from '../site'
import type { Reach } from './looks'

/** What a slot does on a site: how much of it is to catch the eye, and whether it is the accent. */
export interface SlotDuty {
  /** 0…1: the share of what it decides that acts (buttons, icons, links) rather than carries (grounds, words, lines). */
  readonly acts: number
  /** Whether no other slot does more of what an accent is for. */
  readonly isAccent: boolean
}

/** How much of a slot's eye-catching work a role is; roles that are not here carry. */
const ACTING: Partial<Readonly<Record<RoleId, number>>> = {
  buttonFill: 3,
  accent: 3,
  buttonHoverFill: 1,
  link: 0.5,
  linkHover: 0.25,
  focus: 0.25,
  quietLabel: 0.25,
  quietLine: 0.25,
  quietHoverFill: 0.25,
}

/** Follow others, or say good and bad news in whatever slot serves: they tell nothing of what a slot is for. */
const SILENT: ReadonlySet<RoleId> = new Set([
  'buttonLine',
  'buttonLabel',
  'buttonHoverLabel',
  'quietFill',
  'quietHoverLabel',
  'success',
  'warning',
  'danger',
])

/**
 * What every slot is for, by the roles that it decides in all themes, each the
 * more the more things on the site are painted with it. Slots that decide no
 * role are left out. Common practice, no source.
 */
export function slotDuties(
  { themes }: Pick<Frame, 'themes'>,
  reach?: Pick<Reach, 'roles'>,
): ReadonlyMap<SlotId, SlotDuty> {
  const tally = new Map<SlotId, { acts: number; carries: number; accents: number }>()
  for (const theme of themesInOrder(themes)) {
    for (const role of roleIds) {
      const decision = theme.roles[role]
      if (SILENT.has(role) || !isBound(decision)) continue
      const uses = 1 + Math.log2(1 + (reach?.roles[`${theme.id}/${role}`] ?? 0))
      const own = tally.get(decision.slot) ?? { acts: 0, carries: 0, accents: 0 }
      const acting = ACTING[role]
      if (acting) own.acts += acting * uses
      else own.carries += uses
      if (role === 'accent' || role === 'buttonFill') own.accents += uses
      tally.set(decision.slot, own)
    }
  }
  const most = Math.max(0, ...[...tally.values()].map(({ accents }) => accents))
  const accent = [...tally].find(([, { accents }]) => accents > 0 && accents === most)?.[0]
  return new Map(
    [...tally].map(([slot, { acts, carries }]) => [
      slot,
      { acts: acts / (acts + carries), isAccent: slot === accent },
    ]),
  )
}
