import { colorOf, fromOklch, writeHex, type Color } from '@/core/color'
import { variations } from '@/core/palette'
import { slotColor } from '@/core/resolve'
import type { Palette, SlotId } from '@/core/site'
import type { Trial, TrialWay } from '../editor'

export type OthersWay = Extract<TrialWay, { way: 'others' }>

/** How many palettes are shown at once. */
const COUNT = 8

/** Where no slot is there yet: even steps of grey to start from. */
const ramp: readonly Color[] = [0.965, 0.88, 0.72, 0.58, 0.4, 0.2].map((l) =>
  fromOklch({ l, c: 0, h: 0, alpha: 1 }),
)

const colorsOf = (palette: Palette): readonly Color[] =>
  palette.order.length === 0 ? ramp : palette.order.map((id) => slotColor(palette, id))

export function newSeed(): number {
  return crypto.getRandomValues(new Uint32Array(1))[0]! % 1_000_000
}

/** The palettes of the step that is looked at. */
export function othersAt(palette: Palette, { steps, at, stays }: OthersWay): Color[][] {
  const { seed, like } = steps[at]!
  const kept = palette.order.map((id) => stays.includes(id) || palette.slots[id]!.value === null)
  const model = like?.flatMap((text) => colorOf(text) ?? [])
  const colors = colorsOf(palette)
  const fits = model?.length === colors.length
  return variations(colors, palette.order.length ? kept : colors.map(() => false), {
    seed,
    count: COUNT,
    ...(fits ? { like: model } : {}),
  })
}

/** A palette as values for the slots, one each. */
export const valuesOfOthers = (palette: Palette, colors: readonly Color[]) =>
  colors.map((color, i) => ({ slot: palette.order[i] ?? ('' as SlotId), value: writeHex(color) }))

/** The palette that is chosen of a step, on trial; slots that stay take nothing, and nothing is left over. */
export function trialOfOthers(palette: Palette, from: OthersWay): Trial {
  const chosen = othersAt(palette, from)[from.chosen] ?? []
  const isEmpty = palette.order.length === 0
  const moves = palette.order.flatMap((id, i) =>
    from.stays.includes(id) || palette.slots[id]!.value === null || !chosen[i] ? [] : [i],
  )
  const colors = isEmpty ? chosen : moves.map((i) => chosen[i]!)
  return {
    from,
    colors: colors.map((color) => ({ value: writeHex(color) })),
    given: palette.order.map((_, i) => moves.indexOf(i)),
    addRest: isEmpty,
    takeNames: false,
    rename: true,
  }
}

/** Eight other palettes, to begin with. */
export const firstOthers = (palette: Palette): Trial =>
  trialOfOthers(palette, {
    way: 'others',
    steps: [{ seed: newSeed() }],
    at: 0,
    stays: [],
    chosen: 0,
  })

/** Has a slot stay as it is, or go along again. */
export function withStay(palette: Palette, from: OthersWay, slot: SlotId): Trial {
  const { stays } = from
  const next = stays.includes(slot) ? stays.filter((id) => id !== slot) : [...stays, slot]
  return trialOfOthers(palette, { ...from, stays: next })
}
