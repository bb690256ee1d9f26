import { returnRequest } from '@/core/payloads'
import { localOwner, returnToCheckpoint } from '@/server'
import { respondTo } from '../../../../respond'

type Context = { params: Promise<{ site: string }> }

export async function POST(request: Request, { params }: Context): Promise<Response> {
  const { site } = await params
  return respondTo(request, returnRequest, ({ base, checkpoint }) =>
    returnToCheckpoint(localOwner, site, base, checkpoint),
  )
}
