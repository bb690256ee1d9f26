import { takeBackRequest } from '@/core/payloads'
import { beginJob, jobSoon, localOwner } from '@/server'
import { respondTo } from '../../../respond'

type Context = { params: Promise<{ site: string }> }

/** Most edits are taken back within this time, in milliseconds; how the others stand is asked for. */
const PATIENCE = 800

/** Begins to take an edit back that others came after; answers with how it stands. */
export async function POST(request: Request, { params }: Context): Promise<Response> {
  const { site } = await params
  return respondTo(request, takeBackRequest, async (body) => {
    const job = await beginJob(localOwner, site, 'take-back', body)
    return job.ok ? jobSoon(localOwner, site, job.value, PATIENCE) : job
  })
}
