import { dryRunRequest } from '@/core/payloads'
import { dryRun, localOwner } from '@/server'
import { respondTo } from '../../../../respond'

type Context = { params: Promise<{ site: string }> }

export async function POST(request: Request, { params }: Context): Promise<Response> {
  const { site } = await params
  return respondTo(request, dryRunRequest, ({ sweep }) => dryRun(localOwner, site, sweep))
}
