import { localOwner, readFontFile } from '@/server'
import { orPlainPage, plainPage } from '../../../plain-page'

type Context = { params: Promise<{ site: string; file: string }> }

/** A font of a site's own. */
export async function GET(_request: Request, { params }: Context): Promise<Response> {
  const { site, file } = await params
  return orPlainPage(async () => {
    const data = await readFontFile(localOwner, site, file)
    if (!data) return plainPage(404, 'No such font', 'The site has no font at this address.')
    return new Response(data as Uint8Array<ArrayBuffer>, {
      headers: {
        'content-type': 'font/woff2',
        'x-content-type-options': 'nosniff',
        // What lies under a hash never changes.
        'cache-control': 'private, max-age=31536000, immutable',
      },
    })
  })
}
