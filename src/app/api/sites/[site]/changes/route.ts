import { changesSince, localOwner } from '@/server'
import { respond, wholeNumber } from '../../../respond'

type Context = { params: Promise<{ site: string }> }

/** What happened since a revision; `pages` names those that the window holds. */
export async function GET(request: Request, { params }: Context): Promise<Response> {
  const { site } = await params
  const { searchParams } = new URL(request.url)
  const held = (searchParams.get('pages') ?? '').split(',').filter(Boolean)
  return respond(() => changesSince(localOwner, site, wholeNumber(searchParams, 'since'), held))
}
