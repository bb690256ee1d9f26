import { removeThemeRequest } from '@/core/payloads'
import { localOwner, removeTheme } from '@/server'
import { respondTo } from '../../../../respond'

type Context = { params: Promise<{ site: string }> }

export async function POST(request: Request, { params }: Context): Promise<Response> {
  const { site } = await params
  return respondTo(request, removeThemeRequest, ({ base, theme, to }) =>
    removeTheme(localOwner, site, base, theme, to),
  )
}
