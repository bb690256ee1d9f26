import { checkSiteApart, localOwner } from '@/server'
import { respond } from '../../../respond'

type Context = { params: Promise<{ site: string }> }

/** What is found on all pages, as they are drawn. */
export async function GET(_request: Request, { params }: Context): Promise<Response> {
  const { site } = await params
  return respond(() => checkSiteApart(localOwner, site))
}
