import { linksTo, localOwner } from '@/server'
import { respond } from '../../../../../respond'

type Context = { params: Promise<{ site: string; page: string }> }

export async function GET(_request: Request, { params }: Context): Promise<Response> {
  const { site, page } = await params
  return respond(() => linksTo(localOwner, site, page))
}
