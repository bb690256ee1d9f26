import { keepRecipeRequest } from '@/core/payloads'
import { keepRecipe, listRecipes, localOwner } from '@/server'
import { respond, respondTo } from '../../../respond'

type Context = { params: Promise<{ site: string }> }

export async function GET(_request: Request, { params }: Context): Promise<Response> {
  const { site } = await params
  return respond(() => listRecipes(localOwner, site))
}

export async function POST(request: Request, { params }: Context): Promise<Response> {
  const { site } = await params
  return respondTo(request, keepRecipeRequest, (kept) => keepRecipe(localOwner, site, kept))
}
