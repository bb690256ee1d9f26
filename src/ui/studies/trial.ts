import { colorOf, writeHex } from '@/core/color'
import { assignColors, harmonyPalette, readList, reshuffle, type HarmonyId } from '@/core/palette'
import { slotColor } from '@/core/resolve'
import type { Candidate, Palette, SlotId, Study } from '@/core/site'
import type { FoundColor } from '@/workers/extract.worker'
import type { Trial, TrialWay } from '../editor'

const paletteColors = (palette: Palette) => palette.order.map((id) => slotColor(palette, id))

/** Proposes which colour goes to which slot: by lightness and chroma, so that each slot keeps what it is for. */
function proposed(palette: Palette, from: TrialWay, colors: readonly Candidate[]): Trial {
  const read = colors.map(({ value }) => colorOf(value)!)
  return { from, colors, given: assignColors(paletteColors(palette), read) }
}

export function trialOfList(palette: Palette, text: string): Trial {
  return proposed(palette, { way: 'list', text }, readList(text))
}

export function trialOfHarmony(palette: Palette, base: string, harmony: HarmonyId): Trial {
  const color = colorOf(base)
  const colors = color ? harmonyPalette(color, harmony, Math.max(2, palette.order.length)) : []
  return proposed(
    palette,
    { way: 'harmony', base, harmony },
    colors.map((each) => ({ value: writeHex(each) })),
  )
}

/** The first `count` colours that a picture is known by; none before one is chosen. */
export function trialOfPicture(
  palette: Palette,
  url: string | undefined,
  found: readonly FoundColor[],
  count: number,
): Trial {
  const colors = found.slice(0, count).map(({ value }) => ({ value }))
  return proposed(palette, { way: 'picture', url, found, count }, colors)
}

export function trialOfStudy(palette: Palette, study: Study): Trial {
  return proposed(palette, { way: 'study', study: study.id }, study.colors)
}

/** New colours from the seed at hand; the slots that are locked stay. */
export function trialOfSeed(
  palette: Palette,
  seeds: readonly number[],
  at: number,
  locked: readonly SlotId[],
): Trial {
  const locks = palette.order.map((id) => locked.includes(id))
  const colors = reshuffle(paletteColors(palette), locks, seeds[at]!)
  return {
    from: { way: 'reshuffle', seeds, at, locked },
    colors: colors.map((color) => ({ value: writeHex(color) })),
    given: palette.order.map((_, i) => (locks[i] ? -1 : i)),
  }
}

export function newSeed(): number {
  return crypto.getRandomValues(new Uint32Array(1))[0]! % 1_000_000
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

export function wayName({ from }: Trial, studies: readonly Study[]): string {
  switch (from.way) {
    case 'list':
      return 'Pasted list'
    case 'harmony':
      return 'From one colour'
    case 'reshuffle':
      return `Reshuffle ${from.seeds[from.at]}`
    case 'picture':
      return 'From a picture'
    case 'study':
      return studies.find(({ id }) => id === from.study)?.name ?? 'Study'
  }
}
