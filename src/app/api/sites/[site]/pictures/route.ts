import { listPictures, localOwner } from '@/server'
import { respond } from '../../../respond'

type Context = { params: Promise<{ site: string }> }

export async function GET(request: Request, { params }: Context): Promise<Response> {
  const { site } = await params
  const after = new URL(request.url).searchParams.get('after') ?? ''
  return respond(() => listPictures(localOwner, site, after))
}
