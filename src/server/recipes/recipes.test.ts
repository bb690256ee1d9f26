import type { Recipe } from '@/core/sweep'
import { localOwner } from '../access'
import { closeTestDatabase, openTestDatabase, siteId } from '../database/database.fixture'
import { tell } from '../database/sets'
import { changeRecipe, keepRecipe, listRecipes } from '.'
import { mostRecipes } from './recipes'

beforeAll(() => openTestDatabase('recipes_test'))
afterAll(closeTestDatabase)

const recipe: Recipe = {
  pairs: [{ from: { value: '#1c5a54', within: 1, family: true }, to: { slot: 'Brand' } }],
}
const keep = (name: string) => keepRecipe(localOwner, siteId, { name, recipe })
const names = async () => {
  const listed = await listRecipes(localOwner, siteId)
  return listed.ok ? listed.value.map(({ name }) => name) : []
}

test('what is kept under a name is found again to the letter, by every site; a name is kept once', async () => {
  const kept = await keep('Re-brand')
  expect(kept.ok).toBe(true)
  const listed = await listRecipes(localOwner, 'ferrybank')
  expect(listed.ok && listed.value).toMatchObject([{ name: 'Re-brand', recipe }])
  expect(await keep('RE-BRAND')).toEqual({ ok: false, problem: { code: 'recipe-named' } })

  const other = await keep('Autumn')
  expect(await names()).toEqual(['Autumn', 'Re-brand'])
  const id = other.ok ? other.value.id : ''
  const rename = (name: string) => changeRecipe(localOwner, siteId, id, { deed: 'rename', name })
  expect(await rename('re-brand')).toEqual({ ok: false, problem: { code: 'recipe-named' } })
  expect((await rename('Winter')).ok).toBe(true)
  expect((await changeRecipe(localOwner, siteId, id, { deed: 'remove' })).ok).toBe(true)
  expect(await changeRecipe(localOwner, siteId, id, { deed: 'remove' })).toEqual({
    ok: false,
    problem: { code: 'not-found' },
  })
  expect(await names()).toEqual(['Re-brand'])
})

test('a hundred are kept and no more, whoever asks at the same moment; one that cannot be read is left out', async () => {
  const all = await Promise.all(Array.from({ length: mostRecipes - 1 }, (_, i) => keep(`No ${i}`)))
  expect(all.every(({ ok }) => ok)).toBe(true)
  expect(await keep('One more')).toEqual({ ok: false, problem: { code: 'recipes-full' } })
  await tell(`update recipes set recipe = '{"pairs": []}' where name = 'No 7'`, [])
  expect(await names()).toHaveLength(mostRecipes - 1)
})
