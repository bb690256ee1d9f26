import { revokeRequest } from '@/core/payloads'
import { localOwner, revokeShare } from '@/server'
import { respondTo } from '../../../../respond'

type Context = { params: Promise<{ site: string }> }

export async function POST(request: Request, { params }: Context): Promise<Response> {
  const { site } = await params
  return respondTo(request, revokeRequest, ({ share }) => revokeShare(localOwner, site, share))
}
