import { localOwner, planCells } from '@/server'
import { respond } from '../../../../../../respond'

type Context = { params: Promise<{ site: string; plan: string }> }

/** The hits of a dry run, counted by all that they are told apart by. */
export async function GET(_request: Request, { params }: Context): Promise<Response> {
  const { site, plan } = await params
  return respond(() => planCells(localOwner, site, plan))
}
