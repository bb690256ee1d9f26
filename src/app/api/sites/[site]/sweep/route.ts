import { applySweepRequest } from '@/core/payloads'
import { applySweep, localOwner } from '@/server'
import { respondTo } from '../../../respond'

type Context = { params: Promise<{ site: string }> }

export async function POST(request: Request, { params }: Context): Promise<Response> {
  const { site } = await params
  return respondTo(request, applySweepRequest, ({ base, sweep }) =>
    applySweep(localOwner, site, base, sweep),
  )
}
