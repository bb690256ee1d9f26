import { framedPolicy } from '@/core/render'
import { homePicture, localOwner } from '@/server'
import { orPlainPage, plainPage } from '../../plain-page'

type Context = { params: Promise<{ site: string }> }

/** The home page of a site for its picture on the shelf: nothing in it can run, navigate, or call out. */
export async function GET(_request: Request, { params }: Context): Promise<Response> {
  const { site } = await params
  return orPlainPage(async () => {
    const home = await homePicture(localOwner, site)
    if (!home.ok) return plainPage(404, 'No such page', 'The site has no page to show.')
    return new Response(home.value, {
      headers: {
        'content-type': 'text/html; charset=utf-8',
        'content-security-policy': framedPolicy,
        // Its address tells the revision.
        'cache-control': 'private, max-age=3600',
      },
    })
  })
}
