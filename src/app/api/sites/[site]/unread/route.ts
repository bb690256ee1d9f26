import { localOwner, unreadPlaces } from '@/server'
import { respond } from '../../../respond'

type Context = { params: Promise<{ site: string }> }

export async function GET(_request: Request, { params }: Context): Promise<Response> {
  const { site } = await params
  return respond(() => unreadPlaces(localOwner, site))
}
