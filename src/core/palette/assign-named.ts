import { colorOf, sameColor } from '../color'
import { assignColors, type AssignedSlot } from './assign'

/** A slot by which colours are known: its id, its name, and what it holds. */
export interface NamedSlot extends AssignedSlot {
  readonly id: string
  readonly name: string
  readonly isEmpty: boolean
}
interface NamedColor {
  readonly value: string
  readonly name?: string
}

/** Names are the same whatever their letter case and what parts their words. */
const plain = (name: string) =>
  name
    .toLowerCase()
    .replaceAll(/[^\p{L}\p{N}]+/gu, ' ')
    .trim()

/**
 * Which colour goes to which slot: one that is called as a slot is goes there before anything
 * else; then one that a slot holds already stays where it is; the rest goes by what slots are
 * for (`assignColors`). Returns for every slot the index of its colour, or −1.
 */
export function assignNamed(slots: readonly NamedSlot[], colors: readonly NamedColor[]): number[] {
  const given = Array<number>(slots.length).fill(-1)
  const left = new Set(colors.keys())
  const give = (isMeant: (slot: NamedSlot, color: NamedColor) => boolean) => {
    slots.forEach((slot, i) => {
      if (given[i] !== -1) return
      const found = [...left].find((index) => isMeant(slot, colors[index]!))
      if (found === undefined) return
      given[i] = found
      left.delete(found)
    })
  }
  give(({ name }, color) => color.name !== undefined && plain(name) === plain(color.name))
  give(({ id }, color) => color.name !== undefined && plain(id) === plain(color.name))
  give(({ color, isEmpty }, { value }) => !isEmpty && sameColor(color, colorOf(value)!))
  const free = slots.flatMap((_, i) => (given[i] === -1 ? [i] : []))
  const rest = colors.flatMap((_, i) => (given.includes(i) ? [] : [i]))
  const found = assignColors(
    free.map((i) => slots[i]!),
    rest.map((i) => colorOf(colors[i]!.value)!),
  )
  found.forEach((index, i) => {
    if (index >= 0) given[free[i]!] = rest[index]!
  })
  return given
}
