import { shareRequest } from '@/core/payloads'
import { listShares, localOwner, sharePalette } from '@/server'
import { respond, respondTo } from '../../../respond'

type Context = { params: Promise<{ site: string }> }

export async function GET(_request: Request, { params }: Context): Promise<Response> {
  const { site } = await params
  return respond(() => listShares(localOwner, site))
}

export async function POST(request: Request, { params }: Context): Promise<Response> {
  const { site } = await params
  return respondTo(request, shareRequest, ({ base }) => sharePalette(localOwner, site, base))
}
