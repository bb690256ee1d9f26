import { writeHex } from '../color'
import { lackingTones, statuses, statusTones, type Status } from '../palette'
import { canonicalJson, idFromName, mostSlots, slotId, type Frame, type Slot } from '../site'
import { newsGroup, paletteColors, roleMaker } from './generated'
import { cellsByEdition, type AnewCell } from './regeneration'

const NAMES: Readonly<Record<Status, string>> = {
  success: 'Good',
  warning: 'Caution',
  danger: 'Bad',
}

/** A slot that is offered: not in the palette yet. */
export type OfferedSlot = Pick<Slot, 'id' | 'name' | 'group' | 'note'> & { readonly value: string }

export interface NewsOffer {
  readonly add: readonly OfferedSlot[]
  /** What the themes take for good, doubtful and bad news once the slots are there, but for what a person decided. */
  readonly cells: readonly AnewCell[]
}

const NOTES: Readonly<Record<Status, string>> = {
  success: 'Said when something went well',
  warning: 'Said when somebody should look twice',
  danger: 'Said when something went wrong',
}

/** Slots of green, amber and red that go with the palette, for what it has no colour that is taken for it. */
function offeredSlots(frame: Frame): OfferedSlot[] {
  const { palette } = frame
  const colors = paletteColors(palette).map(({ color }) => color)
  const tones = statusTones(colors)
  const ids = [...palette.order] as string[]
  return lackingTones(colors).map((status) => {
    const id = slotId.parse(idFromName(NAMES[status], ids, 'slot'))
    ids.push(id)
    const value = writeHex(tones[status])
    return { id, name: NAMES[status], value, group: newsGroup, note: NOTES[status] }
  })
}

/** What every theme takes for news, in each edition, but for what a person decided. */
function newsCells(frame: Frame): AnewCell[] {
  const make = roleMaker(frame)
  if (!make) return []
  return cellsByEdition(frame, ({ roles: { ground, ...roles }, hand }) => {
    const given = Object.entries(roles).filter(
      ([role]) => !statuses.includes(role as Status) || hand.includes(role as Status),
    )
    const made = make(ground, Object.fromEntries(given))
    return statuses.flatMap((role) =>
      canonicalJson(made[role]) === canonicalJson(roles[role])
        ? []
        : [{ role, decision: made[role], hand: false }],
    )
  })
}

/**
 * Colours by which good, doubtful and bad news are recognised, where the palette has none: as slots
 * of their own, with what every theme would take. Undefined where nothing is lacking, where the
 * palette is empty, or where it has no room.
 */
export function newsOffer(frame: Frame): NewsOffer | undefined {
  const { palette } = frame
  const add = offeredSlots(frame)
  const isEmpty = paletteColors(palette).length === 0
  if (isEmpty || add.length === 0 || palette.order.length + add.length > mostSlots) return undefined
  const slots = add.map((slot) => [slot.id, { ...slot, was: [] }] as const)
  const next: Frame = {
    ...frame,
    palette: {
      ...palette,
      order: [...palette.order, ...add.map(({ id }) => id)],
      slots: { ...palette.slots, ...Object.fromEntries(slots) },
    },
  }
  return { add, cells: newsCells(next) }
}
