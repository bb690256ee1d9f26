import { elementUses, localOwner } from '@/server'
import { respond } from '../../../respond'

type Context = { params: Promise<{ site: string }> }

/** The colours in the text of an element: `?doc=home&element=chat`. */
export async function GET(request: Request, { params }: Context): Promise<Response> {
  const { site } = await params
  const asked = new URL(request.url).searchParams
  return respond(() =>
    elementUses(localOwner, site, asked.get('doc') ?? '', asked.get('element') ?? ''),
  )
}
