import { fontPairOf } from '@/core/designs/font-pairs'
import { colorText } from '@/core/site'
import { framedPolicy } from '@/core/render'
import { designPicture } from '@/server'
import { plainPage } from '../../plain-page'

type Context = { params: Promise<{ design: string }> }

/** The home page of a design, in colours that somebody tries on: nothing in it can run, navigate, or call out. */
export async function GET(request: Request, { params }: Context): Promise<Response> {
  const { design } = await params
  const query = new URL(request.url).searchParams
  const colors = query
    .getAll('color')
    .slice(0, 12)
    .filter((text) => colorText.safeParse(text).success)
  const fonts = fontPairOf(query.get('fonts') ?? undefined)?.id
  const html = designPicture(
    { design, colors, fonts },
    query.get('name')?.slice(0, 60) || undefined,
  )
  if (!html) return plainPage(404, 'No such design', 'There is no design of that name.')
  return new Response(html, {
    headers: {
      'content-type': 'text/html; charset=utf-8',
      'content-security-policy': framedPolicy,
      'cache-control': 'private, max-age=3600',
    },
  })
}
