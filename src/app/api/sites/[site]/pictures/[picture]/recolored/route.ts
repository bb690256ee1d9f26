import { recolorRequest } from '@/core/payloads'
import { localOwner, recoloredPicture } from '@/server'
import { respondTo } from '../../../../../respond'

type Context = { params: Promise<{ site: string; picture: string }> }

export async function POST(request: Request, { params }: Context): Promise<Response> {
  const { site, picture } = await params
  return respondTo(request, recolorRequest, (asked) =>
    recoloredPicture(localOwner, site, picture, asked),
  )
}
