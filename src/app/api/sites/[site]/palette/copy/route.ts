import { copyPaletteRequest } from '@/core/payloads'
import { copyPalette, localOwner, sitesToCarryTo } from '@/server'
import { respond, respondTo } from '../../../../respond'

type Context = { params: Promise<{ site: string }> }

export async function GET(_request: Request, { params }: Context): Promise<Response> {
  const { site } = await params
  return respond(() => sitesToCarryTo(localOwner, site))
}

export async function POST(request: Request, { params }: Context): Promise<Response> {
  const { site } = await params
  return respondTo(request, copyPaletteRequest, ({ to }) => copyPalette(localOwner, site, to))
}
