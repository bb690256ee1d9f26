import type * as z from 'zod'
import type { JobKind } from '@/core/payloads'
import { beginJob, jobSoon, localOwner } from '@/server'
import { respondTo } from '../respond'

/** Most edits of many records are over within this time, in milliseconds; how the others stand is asked for. */
const PATIENCE = 800

/** Begins a piece of work with what a request says; answers with how it stands. */
export const respondWithWork = (
  request: Request,
  schema: z.ZodType,
  site: string,
  kind: JobKind,
): Promise<Response> =>
  respondTo(request, schema, async (body) => {
    const job = await beginJob(localOwner, site, kind, body)
    return job.ok ? jobSoon(localOwner, site, job.value, PATIENCE) : job
  })
