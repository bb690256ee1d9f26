import { localOwner, pageBeside } from '@/server'
import { respond } from '../../../../../respond'

type Context = { params: Promise<{ site: string; page: string }> }

/** The page before or after another one; null at the end. */
export async function GET(request: Request, { params }: Context): Promise<Response> {
  const { site, page } = await params
  const way = new URL(request.url).searchParams.get('by') === 'before' ? 'before' : 'after'
  return respond(() => pageBeside(localOwner, site, page, way))
}
