import * as z from 'zod'
import { shadeSchema } from '../color'
import { looseDecision, nameText, slotName, slotsInOrder, type Palette } from '../site'
import { looseFrom, mostPairs, sweepPaints, type SweepPair, type SweepPaints } from './pair'

const slotByName = z.strictObject({ slot: nameText, shade: shadeSchema.optional() })

/** A pair that can be looked for on any site: its slots are told by name. */
const recipePair = z.strictObject({
  from: z.union([slotByName, looseFrom]),
  to: z.union([slotByName, looseDecision]),
})

/** A sweep that is kept, to be run on this site again or on others. */
export const recipeSchema = z.strictObject({
  pairs: z.array(recipePair).min(1).max(mostPairs),
  paints: z.array(z.enum(sweepPaints)).min(1).optional(),
})
export type Recipe = z.infer<typeof recipeSchema>

type Named<Side> = Side extends { readonly slot: string } ? z.infer<typeof slotByName> : Side

/** Pairs as a recipe: slots by the names that they have here. */
export function recipeOf(
  palette: Palette,
  pairs: readonly SweepPair[],
  paints?: readonly SweepPaints[],
): Recipe {
  const named = <Side extends SweepPair['from'] | SweepPair['to']>(side: Side) =>
    ('slot' in side ? { ...side, slot: slotName(palette, side.slot) } : side) as Named<Side>
  return {
    pairs: pairs.map(({ from, to }) => ({ from: named(from), to: named(to) })),
    ...(paints?.length ? { paints: [...paints] } : {}),
  }
}

/** A recipe on a site: its pairs, and the names of slots that the site does not have; pairs with such are left out. */
export function pairsOfRecipe(
  palette: Palette,
  recipe: Recipe,
): { readonly pairs: readonly SweepPair[]; readonly missing: readonly string[] } {
  const byName = new Map(slotsInOrder(palette).map(({ id, name }) => [name.toLowerCase(), id]))
  const missing = new Set<string>()
  const here = <Side extends Recipe['pairs'][number]['from'] | Recipe['pairs'][number]['to']>(
    side: Side,
  ) => {
    if (!('slot' in side)) return side
    const slot = byName.get(side.slot.toLowerCase())
    if (!slot) missing.add(side.slot)
    return slot && { ...side, slot }
  }
  const pairs = recipe.pairs.flatMap(({ from, to }) => {
    const [source, target] = [here(from), here(to)]
    return source && target ? [{ from: source, to: target } as SweepPair] : []
  })
  return { pairs, missing: [...missing] }
}
