import { saveRequest } from '@/core/payloads'
import { localOwner, readHistory, saveEdits } from '@/server'
import { respond, respondTo } from '../../../respond'

type Context = { params: Promise<{ site: string }> }

export async function GET(_request: Request, { params }: Context): Promise<Response> {
  const { site } = await params
  return respond(() => readHistory(localOwner, site))
}

export async function POST(request: Request, { params }: Context): Promise<Response> {
  const { site } = await params
  return respondTo(request, saveRequest, ({ base, edits }) =>
    saveEdits(localOwner, site, base, edits),
  )
}
