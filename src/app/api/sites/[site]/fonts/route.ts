import { mostFontBytes } from '@/core/payloads'
import { localOwner, takeFont } from '@/server'
import { respondToBytes } from '../../../respond'

type Context = { params: Promise<{ site: string }> }

export async function POST(request: Request, { params }: Context): Promise<Response> {
  const { site } = await params
  return respondToBytes(request, mostFontBytes, (bytes) => takeFont(localOwner, site, bytes))
}
