import { colorOf, writeHex } from '@/core/color'
import type { Edit } from '@/core/edit'
import {
  assignAll,
  assignNamed,
  greyed,
  harmonyPalette,
  readyMade,
  shiftColor,
  type HarmonyId,
  type HueFamily,
  type Mood,
  type PaletteShift,
} from '@/core/palette'
import { slotColor } from '@/core/resolve'
import {
  idFromName,
  mostSlots,
  slotId,
  slotsInOrder,
  type Candidate,
  type Palette,
  type SlotId,
  type Study,
} from '@/core/site'
import type { FoundColor } from '@/workers/picture.worker'
import type { Names } from '../color'
import type { Trial, TrialWay } from '../editor'
import type { Basis } from './basis'

/** How many colours a palette gets that is made from nothing. */
const USUAL = 6

/** Slots keep their own names unless what they say is no longer so. */
const usualNames = { takeNames: false, rename: true }

/** Proposes which colour goes to which slot: by its name, by what the slot holds, then so that each slot keeps what it is for. */
export function proposed(
  { palette, duties }: Basis,
  from: TrialWay,
  colors: readonly Candidate[],
): Trial {
  const slots = slotsInOrder(palette).map(({ id, name, value }) => ({
    ...{ id, name, isEmpty: value === null, color: slotColor(palette, id) },
    ...duties.get(id),
  }))
  const given = assignNamed(slots, colors)
  return { from, colors, given, addRest: palette.order.length === 0, ...usualNames }
}

/** Before anything is pasted. */
export const trialOfEmptyList = (basis: Basis): Trial =>
  proposed(basis, { way: 'list', text: '', problems: [] }, [])

export function trialOfHarmony(basis: Basis, base: string, harmony: HarmonyId): Trial {
  // Greys of a palette are its own colours without their hue, by whichever way one asks for them.
  if (harmony === 'grey' && basis.palette.order.length > 0) {
    return { ...trialOfGrey(basis.palette), from: { way: 'harmony', base, harmony } }
  }
  const color = colorOf(base)
  const colors = color ? harmonyPalette(color, harmony, basis.palette.order.length || USUAL) : []
  return proposed(
    basis,
    { way: 'harmony', base, harmony },
    colors.map((each) => ({ value: writeHex(each) })),
  )
}

/** The first `count` colours that a picture is known by; none before one is chosen. */
export function trialOfPicture(
  basis: Basis,
  url: string | undefined,
  found: readonly FoundColor[],
  count: number,
): Trial {
  const colors = found.slice(0, count).map(({ value }) => ({ value }))
  return proposed(basis, { way: 'picture', url, found, count }, colors)
}

export function trialOfStudy(basis: Basis, study: Study): Trial {
  return proposed(basis, { way: 'study', study: study.id }, study.colors)
}

export function trialOfReadyMade(basis: Basis, name?: string, mood?: Mood, hue?: HueFamily): Trial {
  const colors = readyMade.find((each) => each.name === name)?.colors ?? []
  return proposed(
    basis,
    { way: 'ready', name, mood, hue },
    colors.map((value) => ({ value })),
  )
}

/** Every slot in the grey of its own lightness. */
export function trialOfGrey(palette: Palette): Trial {
  const slots = slotsInOrder(palette)
  return {
    from: { way: 'grey' },
    colors: slots.map(({ id, name }) => ({
      value: writeHex(greyed(slotColor(palette, id))),
      name,
    })),
    given: slots.map(({ value }, i) => (value === null ? -1 : i)),
    addRest: false,
    ...usualNames,
  }
}

/** The palette as the design came: every slot by its id, those that were removed as new ones. */
export function trialOfOriginal(palette: Palette): Trial {
  const filled = palette.original.flatMap(({ id, name, value }) =>
    value === null ? [] : [{ id, name, value }],
  )
  return {
    from: { way: 'original' },
    colors: filled.map(({ name, value }) => ({ name, value })),
    given: palette.order.map((slot) => filled.findIndex(({ id }) => id === slot)),
    addRest: true,
    takeNames: true,
    rename: false,
  }
}

/** The palette moved as a whole, but for the slots that stay. */
export function trialOfShift(
  palette: Palette,
  shift: PaletteShift,
  stays: readonly SlotId[],
): Trial {
  const moves = slotsInOrder(palette).filter(
    ({ id, value }) => value !== null && !stays.includes(id),
  )
  return {
    from: { way: 'shift', shift, stays },
    colors: moves.map(({ id, value }) => {
      const held = slotColor(palette, id)
      const color = shiftColor(held, shift)
      // What does not move stays as it is written.
      if (writeHex(color) === writeHex(held)) return { value: value! }
      return { value: writeHex(color) }
    }),
    given: palette.order.map((slot) => moves.findIndex(({ id }) => id === slot)),
    addRest: false,
    ...usualNames,
  }
}

/** What a trial would set: only the slots that would change. */
export function trialValues(
  palette: Palette,
  trial: Trial,
): Array<{ slot: SlotId; value: string }> {
  return palette.order.flatMap((slot, i) => {
    const value = trial.colors[trial.given[i] ?? -1]?.value
    return value !== undefined && value !== palette.slots[slot]?.value ? [{ slot, value }] : []
  })
}

/** The indices of the colours that no slot takes. */
export function leftOver({ colors, given }: Trial): number[] {
  return colors.flatMap((_, i) => (given.includes(i) ? [] : [i]))
}

/** The slots that take none of the colours, by their places in the palette. */
export const freeSlots = ({ given }: Trial): number[] =>
  given.flatMap((index, i) => (index === -1 ? [i] : []))

/** Puts the colours that no slot takes into those that are free, each where it changes least. */
export function withFreeFilled(palette: Palette, trial: Trial): Trial {
  const [free, rest] = [freeSlots(trial), leftOver(trial)]
  const found = assignAll(
    free.map((i) => slotColor(palette, palette.order[i]!)),
    rest.map((index) => colorOf(trial.colors[index]!.value)!),
  )
  const given = [...trial.given]
  found.forEach((column, row) => {
    if (column >= 0) given[free[row]!] = rest[column]!
  })
  return { ...trial, given }
}

export interface NewName {
  readonly slot: SlotId
  readonly before: string
  readonly name: string
}

/** New names for slots that are called after a colour which they would no longer have. */
export function newNames(palette: Palette, trial: Trial, { namer, isOutdated }: Names): NewName[] {
  const taken = slotsInOrder(palette).map(({ name }) => name)
  return palette.order.flatMap((slot, i) => {
    const candidate = trial.colors[trial.given[i] ?? -1]
    const { name: before, value } = palette.slots[slot]!
    if (!candidate || value === null || (trial.takeNames && candidate.name)) return []
    const color = colorOf(candidate.value)!
    if (!isOutdated(before, slotColor(palette, slot), color)) return []
    const name = namer(color, taken).slice(0, 60)
    taken.push(name)
    return [{ slot, before, name }]
  })
}

/**
 * The one edit that applying a trial is; new slots without a name are named
 * after their colour, and with `rename` those whose name is no longer true.
 */
export function trialEdit(palette: Palette, trial: Trial, told: string, known: Names): Edit {
  const renamed = new Map(
    trial.rename
      ? newNames(palette, trial, known).map(({ slot, name }) => [slot, { name }] as const)
      : [],
  )
  const values = palette.order.flatMap((slot, i) => {
    const color = trial.colors[trial.given[i] ?? -1]
    if (!color) return []
    const { value, ...details } = color
    const changed = { slot, value, ...(trial.takeNames ? details : {}), ...renamed.get(slot) }
    const held = palette.slots[slot]!
    const isSame = held.value === value && (!details.name || !trial.takeNames)
    return isSame ? [] : [changed]
  })
  const names = [
    ...slotsInOrder(palette).map(({ name }) => name),
    ...[...renamed.values()].map(({ name }) => name),
  ]
  const ids: string[] = [...palette.order]
  const room = Math.max(0, mostSlots - ids.length)
  const rest = trial.addRest ? leftOver(trial).slice(0, room) : []
  const add = rest.map((index) => {
    const { value, ...details } = trial.colors[index]!
    const name = details.name ?? known.namer(colorOf(value)!, names).slice(0, 60)
    const id = slotId.parse(idFromName(name, ids, 'slot'))
    names.push(name)
    ids.push(id)
    return { id, value, ...details, name }
  })
  return { type: 'setSlots', told, values, ...(add.length ? { add } : {}) }
}

/** The palette as it would be with other values. */
export function paletteWith(
  palette: Palette,
  values: ReadonlyArray<{ readonly slot: SlotId; readonly value: string }>,
): Palette {
  const changed = values.flatMap(({ slot, value }) => {
    const held = palette.slots[slot]
    return held ? [[slot, { ...held, value }] as const] : []
  })
  return { ...palette, slots: { ...palette.slots, ...Object.fromEntries(changed) } }
}

/** Gives a slot another of the colours; whoever had it takes what the slot had. */
export function exchange(trial: Trial, slotIndex: number, colorIndex: number): Trial {
  const had = trial.given[slotIndex] ?? -1
  const given = trial.given.map((index, i) => {
    if (i === slotIndex) return colorIndex
    return colorIndex !== -1 && index === colorIndex ? had : index
  })
  return { ...trial, given }
}

/** Changes one of the colours; what it goes to stays. */
export function recolored(trial: Trial, index: number, value: string): Trial {
  return {
    ...trial,
    colors: trial.colors.map((each, i) => (i === index ? { ...each, value } : each)),
  }
}

const SHIFTED: Readonly<Record<keyof PaletteShift, readonly [string, string]>> = {
  light: ['darker', 'lighter'],
  vivid: ['quieter', 'more vivid'],
  warm: ['cooler', 'warmer'],
}

/** `Lighter, warmer` */
function shiftWords(shift: PaletteShift): string {
  const words = (Object.keys(SHIFTED) as Array<keyof PaletteShift>).flatMap((key) =>
    shift[key] === 0 ? [] : [SHIFTED[key][shift[key] > 0 ? 1 : 0]],
  )
  const said = words.join(', ') || 'as it is'
  return said.charAt(0).toUpperCase() + said.slice(1)
}

export function wayName({ from }: Trial, studies: readonly Study[]): string {
  switch (from.way) {
    case 'list':
      return 'Pasted list'
    case 'harmony':
      return 'From one colour'
    case 'others':
      return `Other palette ${from.at + 1}.${from.chosen + 1}`
    case 'shift':
      return shiftWords(from.shift)
    case 'picture':
      return 'From a picture'
    case 'study':
      return studies.find(({ id }) => id === from.study)?.name ?? 'Study'
    case 'ready':
      return from.name ?? 'Ready-made'
    case 'grey':
      return 'In greys'
    case 'original':
      return 'The design’s own palette'
  }
}
