import { localOwner, readPicture } from '@/server'
import { orPlainPage, plainPage } from '../../../plain-page'

type Context = { params: Promise<{ site: string; asset: string }> }

/** A picture of a site. Even a vector picture that holds a script cannot run it here. */
export async function GET(request: Request, { params }: Context): Promise<Response> {
  const { site, asset } = await params
  return orPlainPage(async () => {
    const { searchParams } = new URL(request.url)
    const hash = searchParams.get('file')
    const [slots, plan] = [searchParams.get('slots'), searchParams.get('plan')]
    const file = await readPicture(localOwner, site, asset, { file: hash, slots, plan })
    if (!file) return plainPage(404, 'No such picture', 'The site has no picture at this address.')
    return new Response(file.data as Uint8Array<ArrayBuffer>, {
      headers: {
        'content-type': file.details.mediaType,
        'content-security-policy': "default-src 'none'; style-src 'unsafe-inline'; sandbox",
        'x-content-type-options': 'nosniff',
        // What lies under a hash never changes; colours of slots stand in the address too.
        'cache-control':
          hash && !plan ? 'private, max-age=31536000, immutable' : 'private, max-age=300',
      },
    })
  })
}
