import { dryRunRequest } from '@/core/payloads'
import { dryExchange, dryRun, localOwner } from '@/server'
import { respondTo } from '../../../../respond'

type Context = { params: Promise<{ site: string }> }

export async function POST(request: Request, { params }: Context): Promise<Response> {
  const { site } = await params
  return respondTo(request, dryRunRequest, (asked) =>
    'sweep' in asked
      ? dryRun(localOwner, site, asked.sweep)
      : dryExchange(localOwner, site, asked.exchange),
  )
}
