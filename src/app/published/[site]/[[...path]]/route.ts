import { pagePolicy } from '@/core/render'
import { publishedFile } from '@/server'

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

/** The stand-in for hosting: published folders, served to anybody, read-only. */
export async function GET(_request: Request, { params }: Context): Promise<Response> {
  const { site, path = [] } = await params
  // Links inside the site are relative to its folder, so the folder's own address ends in `index.html`.
  if (path.length === 0) {
    return new Response(null, {
      status: 307,
      headers: { location: `/published/${site}/index.html` },
    })
  }
  const name = path.join('/')
  const data = await publishedFile(site, name)
  if (!data) return new Response('Nothing is published at this address.', { status: 404 })
  const type = TYPES[name.split('.').at(-1) ?? ''] ?? 'application/octet-stream'
  return new Response(data as Uint8Array<ArrayBuffer>, {
    headers: {
      'content-type': type,
      'content-security-policy': pagePolicy,
      'x-content-type-options': 'nosniff',
      'cache-control': 'no-cache',
    },
  })
}
