import { stepRequest } from '@/core/payloads'
import { localOwner, stepOrJob } from '@/server'
import { respondTo } from '../../../respond'

type Context = { params: Promise<{ site: string }> }

export async function POST(request: Request, { params }: Context): Promise<Response> {
  const { site } = await params
  return respondTo(request, stepRequest, ({ base }) => stepOrJob(localOwner, site, base, 'redo'))
}
