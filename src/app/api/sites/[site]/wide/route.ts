import { wideRequest } from '@/core/payloads'
import { respondWithWork } from '../../work'

type Context = { params: Promise<{ site: string }> }

/** Begins a wide edit; answers with how it stands. */
export async function POST(request: Request, { params }: Context): Promise<Response> {
  const { site } = await params
  return respondWithWork(request, wideRequest, site, 'wide')
}
