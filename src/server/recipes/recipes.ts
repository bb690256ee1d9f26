import { randomUUID } from 'node:crypto'
import { done, refused, type RecipeDeed, type RecipeEntry, type Result } from '@/core/payloads'
import { recipeSchema, type Recipe } from '@/core/sweep'
import { siteFor, type Actor } from '../access'
import { select } from '../database/sets'

/** Most recipes that a workspace keeps. */
export const mostRecipes = 100

/** The sweeps that are kept for the sites of a workspace, by name. One that this version cannot read is left out. */
export async function listRecipes(
  actor: Actor,
  siteId: string,
): Promise<Result<readonly RecipeEntry[]>> {
  const found = await siteFor(actor, 'read', siteId)
  if (!found.ok) return found
  const rows = await select<{ id: string; name: string; recipe: unknown }>(
    'select id, name, recipe from recipes where workspace_id = $1 order by lower(name)',
    [found.value.workspaceId],
  )
  return done(
    rows.flatMap(({ id, name, recipe }) => {
      const read = recipeSchema.safeParse(recipe)
      return read.success ? [{ id, name, recipe: read.data }] : []
    }),
  )
}

/** Keeps a sweep under a name; its id. */
export async function keepRecipe(
  actor: Actor,
  siteId: string,
  { name, recipe }: { readonly name: string; readonly recipe: Recipe },
): Promise<Result<{ readonly id: string }>> {
  const found = await siteFor(actor, 'edit', siteId)
  if (!found.ok) return found
  const { workspaceId } = found.value
  const rows = await select<{ id: string | null; kept: number }>(
    `with kept as (select count(*)::int as kept from recipes where workspace_id = $2),
       made as (
         insert into recipes (id, workspace_id, name, recipe)
         select $1, $2, $3, $4::jsonb from kept where kept < ${mostRecipes}
         on conflict (workspace_id, lower(name)) do nothing returning id)
     select (select id from made) as id, kept from kept`,
    [randomUUID(), workspaceId, name, JSON.stringify(recipe)],
  )
  const { id, kept } = rows[0]!
  if (id !== null) return done({ id })
  return refused({ code: kept < mostRecipes ? 'recipe-named' : 'recipes-full' })
}

/** Removes a recipe that is kept, or gives it another name. */
export async function changeRecipe(
  actor: Actor,
  siteId: string,
  id: string,
  deed: RecipeDeed,
): Promise<Result<null>> {
  const found = await siteFor(actor, 'edit', siteId)
  if (!found.ok) return found
  const { workspaceId } = found.value
  if (deed.deed === 'remove') {
    const gone = await select(
      'delete from recipes where id = $1 and workspace_id = $2 returning id',
      [id, workspaceId],
    )
    return gone.length ? done(null) : refused({ code: 'not-found' })
  }
  const renamed = await select(
    `update recipes r set name = $3 where id = $1 and workspace_id = $2
       and not exists (select from recipes o
         where o.workspace_id = $2 and lower(o.name) = lower($3) and o.id <> $1) returning id`,
    [id, workspaceId, deed.name],
  )
  if (renamed.length) return done(null)
  const there = await select('select id from recipes where id = $1 and workspace_id = $2', [
    id,
    workspaceId,
  ])
  return refused({ code: there.length ? 'recipe-named' : 'not-found' })
}
