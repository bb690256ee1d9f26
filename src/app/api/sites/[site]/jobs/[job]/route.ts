import { jobSoon, localOwner } from '@/server'
import { respond } from '../../../../respond'

type Context = { params: Promise<{ site: string; job: string }> }

/** How long to wait for the end of it, in milliseconds. */
const PATIENCE = 5000

export async function GET(_request: Request, { params }: Context): Promise<Response> {
  const { site, job } = await params
  return respond(() => jobSoon(localOwner, site, job, PATIENCE))
}
