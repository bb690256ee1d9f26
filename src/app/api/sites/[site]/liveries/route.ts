import { keepLiveryRequest } from '@/core/payloads'
import { keepLivery, listLiveries, localOwner } from '@/server'
import { respond, respondTo } from '../../../respond'

type Context = { params: Promise<{ site: string }> }

export async function GET(_request: Request, { params }: Context): Promise<Response> {
  const { site } = await params
  return respond(() => listLiveries(localOwner, site))
}

export async function POST(request: Request, { params }: Context): Promise<Response> {
  const { site } = await params
  return respondTo(request, keepLiveryRequest, (kept) => keepLivery(localOwner, site, kept))
}
