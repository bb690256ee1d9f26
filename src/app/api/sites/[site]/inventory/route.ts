import { inventory, localOwner } from '@/server'
import { respond } from '../../../respond'
import { filterOf } from '../sweep/filter'

type Context = { params: Promise<{ site: string }> }

export async function GET(request: Request, { params }: Context): Promise<Response> {
  const { site } = await params
  const filter = filterOf(new URL(request.url).searchParams)
  return respond(() => inventory(localOwner, site, filter))
}
