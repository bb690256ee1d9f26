import { localOwner, pageOfPicture } from '@/server'
import { respond } from '../../../../../respond'

type Context = { params: Promise<{ site: string; picture: string }> }

export async function GET(_request: Request, { params }: Context): Promise<Response> {
  const { site, picture } = await params
  return respond(() => pageOfPicture(localOwner, site, picture))
}
