import { liveStream, localOwner } from '@/server'
import { respond, wholeNumber } from '../../../respond'

export const dynamic = 'force-dynamic'

type Context = { params: Promise<{ site: string }> }

/** Everything that happens to a site, as it happens: server-sent events. */
export async function GET(request: Request, { params }: Context): Promise<Response> {
  const { site } = await params
  const { searchParams } = new URL(request.url)
  let stream: ReadableStream<Uint8Array> | undefined
  const refusal = await respond(async () => {
    const opened = await liveStream(localOwner, site, wholeNumber(searchParams, 'since'))
    if (!opened.ok) return opened
    stream = opened.value.body
    request.signal.addEventListener('abort', opened.value.close)
    return { ok: true, value: null }
  })
  if (!stream) return refusal
  return new Response(stream, {
    headers: {
      'content-type': 'text/event-stream; charset=utf-8',
      'cache-control': 'no-cache, no-transform',
      'x-accel-buffering': 'no',
    },
  })
}
