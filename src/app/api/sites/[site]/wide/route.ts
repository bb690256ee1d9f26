import { wideRequest } from '@/core/payloads'
import { beginJob, jobSoon, localOwner } from '@/server'
import { respondTo } from '../../../respond'

type Context = { params: Promise<{ site: string }> }

/** Most wide edits are over within this time, in milliseconds; how the others stand is asked for. */
const PATIENCE = 800

/** Begins a wide edit; answers with how it stands. */
export async function POST(request: Request, { params }: Context): Promise<Response> {
  const { site } = await params
  return respondTo(request, wideRequest, async (body) => {
    const job = await beginJob(localOwner, site, 'wide', body)
    return job.ok ? jobSoon(localOwner, site, job.value, PATIENCE) : job
  })
}
