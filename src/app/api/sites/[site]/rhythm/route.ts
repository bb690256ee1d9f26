import { rhythmRequest } from '@/core/payloads'
import { localOwner, proposedRhythms } from '@/server'
import { respondTo } from '../../../respond'

type Context = { params: Promise<{ site: string }> }

/** The rhythm that is proposed for some pages, as far as they are shown. */
export async function POST(request: Request, { params }: Context): Promise<Response> {
  const { site } = await params
  return respondTo(request, rhythmRequest, ({ pages, shown }) =>
    proposedRhythms(localOwner, site, shown, pages),
  )
}
