import { NextResponse, type NextRequest } from 'next/server'
import { dataPolicy, doorOf, editorPolicy } from './server/doors'

const isDevelopment = process.env.NODE_ENV === 'development'

/** What every answer says of itself. */
function withCommonHeaders(response: NextResponse): NextResponse {
  response.headers.set('x-content-type-options', 'nosniff')
  response.headers.set('referrer-policy', 'same-origin')
  return response
}

const plain = (status: number, words: string) =>
  withCommonHeaders(
    new NextResponse(`${words}\n`, {
      status,
      headers: {
        'content-type': 'text/plain; charset=utf-8',
        'content-security-policy': dataPolicy,
      },
    }),
  )

/** What says by itself where it may take things from. */
const OWN_POLICY = /^\/(?:stage|home|designs|files|published)(?:\/|$)/
const isData = (path: string) => path.startsWith('/api/')
/** How browsers mark what a page of another origin asks for (Fetch Metadata). */
const FOREIGN = new Set(['cross-site', 'same-site'])
const isPublished = (path: string) => path.startsWith('/published/')

/**
 * The one way in: only known names of this machine are answered, published
 * sites on an origin of their own, and every answer carries its policy.
 */
export function proxy(request: NextRequest): NextResponse {
  const { pathname, search } = request.nextUrl
  const door = doorOf(request.headers.get('host'))
  if (!door)
    return plain(
      421,
      'This name is not known here. Ask by the address that the application was started with.',
    )
  if (door === 'published') {
    if (!isPublished(pathname)) return plain(404, 'Nothing is published at this address.')
    return withCommonHeaders(NextResponse.next())
  }
  const origin = process.env.EASEL_PUBLISHED
  if (origin && isPublished(pathname)) {
    return withCommonHeaders(NextResponse.redirect(new URL(pathname + search, origin), 307))
  }
  if (OWN_POLICY.test(pathname)) return withCommonHeaders(NextResponse.next())
  if (isData(pathname)) {
    // Pages elsewhere ask for nothing here: even a question may begin work.
    if (FOREIGN.has(request.headers.get('sec-fetch-site') ?? ''))
      return plain(403, 'This address answers pages of the application alone.')
    const response = NextResponse.next()
    response.headers.set('content-security-policy', dataPolicy)
    return withCommonHeaders(response)
  }
  const nonce = Buffer.from(crypto.randomUUID()).toString('base64')
  const policy = editorPolicy(nonce, isDevelopment)
  const headers = new Headers(request.headers)
  headers.set('x-nonce', nonce)
  // A layout is told no search parameters; the page that is open is one.
  headers.set('x-open-page', request.nextUrl.searchParams.get('page') ?? '')
  // The framework marks its own scripts with the nonce that it finds here.
  headers.set('content-security-policy', policy)
  const response = NextResponse.next({ request: { headers } })
  response.headers.set('content-security-policy', policy)
  return withCommonHeaders(response)
}
