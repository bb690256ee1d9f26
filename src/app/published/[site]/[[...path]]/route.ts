import { pagePolicy } from '@/core/render'
import { publishedFile } from '@/server'
import { orPlainPage, plainPage } from '../../../plain-page'

type Context = { params: Promise<{ site: string; path?: string[] }> }

const TYPES: Readonly<Record<string, string>> = {
  html: 'text/html; charset=utf-8',
  css: 'text/css; charset=utf-8',
  svg: 'image/svg+xml',
  jpg: 'image/jpeg',
  png: 'image/png',
  webp: 'image/webp',
  woff2: 'font/woff2',
}

/** Where published sites have no origin of their own, each page is given one that is nobody's. */
const policy = () =>
  process.env.EASEL_PUBLISHED
    ? pagePolicy
    : `${pagePolicy}; sandbox allow-popups allow-top-navigation`

/** The stand-in for hosting: published folders, served to anybody, read-only. */
export async function GET(_request: Request, { params }: Context): Promise<Response> {
  const { site, path = [] } = await params
  // Links inside the site are relative to its folder, so the folder's own address ends in `index.html`.
  if (path.length === 0) {
    return new Response(null, {
      status: 307,
      headers: { location: `/published/${encodeURIComponent(site)}/index.html` },
    })
  }
  const name = path.join('/')
  return orPlainPage(async () => {
    const data = await publishedFile(site, name)
    if (!data) {
      return plainPage(
        404,
        'Nothing is published here',
        'The address may have a slip, or the page was taken down.',
      )
    }
    const type = TYPES[name.split('.').at(-1) ?? ''] ?? 'application/octet-stream'
    return new Response(data as Uint8Array<ArrayBuffer>, {
      headers: {
        'content-type': type,
        'content-security-policy': policy(),
        'x-content-type-options': 'nosniff',
        'cache-control': 'no-cache',
        // Fonts are asked for as if from elsewhere where a page has no origin of its own.
        'access-control-allow-origin': '*',
      },
    })
  })
}
