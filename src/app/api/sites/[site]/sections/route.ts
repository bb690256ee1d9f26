import { localOwner, namedSections } from '@/server'
import { respond } from '../../../respond'

type Context = { params: Promise<{ site: string }> }

/** Every section of a name. */
export async function GET(request: Request, { params }: Context): Promise<Response> {
  const { site } = await params
  const name = new URL(request.url).searchParams.get('name') ?? ''
  return respond(() => namedSections(localOwner, site, name))
}
