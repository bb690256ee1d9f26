import { listPages, localOwner } from '@/server'
import { respond, wholeNumber } from '../../../respond'

type Context = { params: Promise<{ site: string }> }

export async function GET(request: Request, { params }: Context): Promise<Response> {
  const { site } = await params
  const { searchParams } = new URL(request.url)
  const from = wholeNumber(searchParams, 'from')
  const count = wholeNumber(searchParams, 'count', 60)
  const search = searchParams.get('search') ?? ''
  return respond(() => listPages(localOwner, site, { from, count, search }))
}
