import { snippetRequest } from '@/core/payloads'
import { cleanedSnippet, localOwner } from '@/server'
import { respondTo } from '../../../respond'

type Context = { params: Promise<{ site: string }> }

export async function POST(request: Request, { params }: Context): Promise<Response> {
  const { site } = await params
  return respondTo(request, snippetRequest, ({ html }) => cleanedSnippet(localOwner, site, html))
}
