import { removeSlotRequest } from '@/core/payloads'
import { localOwner, removeSlot } from '@/server'
import { respondTo } from '../../../../respond'

type Context = { params: Promise<{ site: string }> }

export async function POST(request: Request, { params }: Context): Promise<Response> {
  const { site } = await params
  return respondTo(request, removeSlotRequest, ({ base, slot, to }) =>
    removeSlot(localOwner, site, base, slot, to),
  )
}
