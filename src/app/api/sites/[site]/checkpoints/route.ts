import { checkpointRequest } from '@/core/payloads'
import { listCheckpoints, localOwner, takeCheckpoint } from '@/server'
import { respond, respondTo } from '../../../respond'

type Context = { params: Promise<{ site: string }> }

export async function GET(_request: Request, { params }: Context): Promise<Response> {
  const { site } = await params
  return respond(() => listCheckpoints(localOwner, site))
}

export async function POST(request: Request, { params }: Context): Promise<Response> {
  const { site } = await params
  return respondTo(request, checkpointRequest, ({ base, name }) =>
    takeCheckpoint(localOwner, site, base, name),
  )
}
