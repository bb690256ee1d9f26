import { presentRequest } from '@/core/payloads'
import { localOwner, tellPresent } from '@/server'
import { respondTo } from '../../../respond'

type Context = { params: Promise<{ site: string }> }

/** A window says that it has the site open, on which page, or that it goes. */
export async function POST(request: Request, { params }: Context): Promise<Response> {
  const { site } = await params
  return respondTo(request, presentRequest, (body) => tellPresent(localOwner, site, body))
}
