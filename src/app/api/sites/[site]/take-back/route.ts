import { takeBackRequest } from '@/core/payloads'
import { respondWithWork } from '../../work'

type Context = { params: Promise<{ site: string }> }

/** Begins to take an edit back that others came after; answers with how it stands. */
export async function POST(request: Request, { params }: Context): Promise<Response> {
  const { site } = await params
  return respondWithWork(request, takeBackRequest, site, 'take-back')
}
