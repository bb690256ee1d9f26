import { shelfDeed } from '@/core/payloads'
import { carryOutDeed, localOwner } from '@/server'
import { respondTo } from '../../../respond'

type Context = { params: Promise<{ site: string }> }

export async function POST(request: Request, { params }: Context): Promise<Response> {
  const { site } = await params
  return respondTo(request, shelfDeed, (deed) => carryOutDeed(localOwner, site, deed))
}
