import { localOwner, pageAt } from '@/server'
import { respond } from '../../../../respond'

type Context = { params: Promise<{ site: string; path: string }> }

export async function GET(_request: Request, { params }: Context): Promise<Response> {
  const { site, path } = await params
  return respond(() => pageAt(localOwner, site, path))
}
