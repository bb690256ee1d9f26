import { localOwner, planHits } from '@/server'
import { respond, wholeNumber } from '../../../../../respond'
import { filterOf } from '../../filter'

type Context = { params: Promise<{ site: string; plan: string }> }

/** Some hits of a dry run. */
export async function GET(request: Request, { params }: Context): Promise<Response> {
  const { site, plan } = await params
  const { searchParams } = new URL(request.url)
  const from = wholeNumber(searchParams, 'from')
  const count = wholeNumber(searchParams, 'count', 100)
  const filter = filterOf(searchParams)
  return respond(() => planHits(localOwner, site, plan, { from, count, filter }))
}
