import { nothingRequest } from '@/core/payloads'
import { cancelJob, localOwner } from '@/server'
import { respondTo } from '../../../../../respond'

type Context = { params: Promise<{ site: string; job: string }> }

export async function POST(request: Request, { params }: Context): Promise<Response> {
  const { site, job } = await params
  return respondTo(request, nothingRequest, () => cancelJob(localOwner, site, job))
}
