import { nothingRequest } from '@/core/payloads'
import { beginJob, jobSoon, localOwner, publicationOf } from '@/server'
import { respond, respondTo } from '../../../respond'

type Context = { params: Promise<{ site: string }> }

/** Most publications are over within this time, in milliseconds; how the others stand is asked for. */
const PATIENCE = 800

export async function GET(_request: Request, { params }: Context): Promise<Response> {
  const { site } = await params
  return respond(() => publicationOf(localOwner, site))
}

/** Begins to publish; answers with how it stands. */
export async function POST(request: Request, { params }: Context): Promise<Response> {
  const { site } = await params
  return respondTo(request, nothingRequest, async () => {
    const job = await beginJob(localOwner, site, 'publish', null)
    return job.ok ? jobSoon(localOwner, site, job.value, PATIENCE) : job
  })
}
