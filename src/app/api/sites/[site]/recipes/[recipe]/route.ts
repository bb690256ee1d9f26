import { recipeDeed, refused } from '@/core/payloads'
import { textFault } from '@/core/site'
import { changeRecipe, localOwner } from '@/server'
import { respondTo } from '../../../../respond'

type Context = { params: Promise<{ site: string; recipe: string }> }

export async function POST(request: Request, { params }: Context): Promise<Response> {
  const { site, recipe } = await params
  return respondTo(request, recipeDeed, async (deed) =>
    textFault(recipe)
      ? refused({ code: 'not-found' })
      : changeRecipe(localOwner, site, recipe, deed),
  )
}
