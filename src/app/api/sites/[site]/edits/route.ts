import { saveRequest } from '@/core/payloads'
import { localOwner, readHistory, saveEdits } from '@/server'
import { respond, respondTo, wholeNumber } from '../../../respond'

type Context = { params: Promise<{ site: string }> }

/** Some of the history, newest first; before a revision, where one is given. */
export async function GET(request: Request, { params }: Context): Promise<Response> {
  const { site } = await params
  const { searchParams } = new URL(request.url)
  const before = searchParams.has('before') ? wholeNumber(searchParams, 'before') : undefined
  return respond(() => readHistory(localOwner, site, { before }))
}

export async function POST(request: Request, { params }: Context): Promise<Response> {
  const { site } = await params
  return respondTo(request, saveRequest, ({ base, edits }) =>
    saveEdits(localOwner, site, base, edits),
  )
}
