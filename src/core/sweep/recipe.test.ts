import { demoSites } from '@demo/sites'
import { sweepPair } from './pair'
import { pairsOfRecipe, recipeOf, recipeSchema } from './recipe'

const [tern, ferry] = demoSites.map(({ frame }) => frame.palette)

const pairs = [
  { from: { value: '#1c5a54', within: 1, family: true }, to: { slot: 'brand' } },
  { from: { slot: 'spark', shade: { lightness: 8 } }, to: { value: 'teal' } },
  { from: { slot: 'mist' }, to: { slot: 'paper' } },
].map((pair) => sweepPair.parse(pair))

test('on the site that it comes from it is the same sweep', () => {
  const recipe = recipeOf(tern!, pairs, ['fill'])
  expect(recipeSchema.parse(recipe)).toEqual(recipe)
  expect(recipe.paints).toEqual(['fill'])
  expect(pairsOfRecipe(tern!, recipe)).toEqual({ pairs, missing: [] })
})

test('on another site slots are found by name; those that are not there are told, and their pairs left out', () => {
  const recipe = recipeOf(tern!, pairs)
  const renamed = {
    ...ferry!,
    slots: Object.fromEntries(
      Object.values(ferry!.slots).map((slot, i) => [
        slot.id,
        { ...slot, name: i === 0 ? 'BRAND' : `Other ${i}` },
      ]),
    ),
  } as typeof ferry
  const found = pairsOfRecipe(renamed!, recipe)
  expect(found.pairs).toEqual([{ ...pairs[0], to: { slot: Object.values(ferry!.slots)[0]!.id } }])
  expect(found.missing).toEqual(['Spark', 'Mist', 'Paper'])
})
