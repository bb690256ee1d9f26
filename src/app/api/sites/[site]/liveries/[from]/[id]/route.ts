import { liveryDeed, refused, type LiverySource } from '@/core/payloads'
import { textFault } from '@/core/site'
import { changeLivery, liveryFrom, localOwner } from '@/server'
import { respond, respondTo } from '../../../../../respond'

type Context = { params: Promise<{ site: string; from: string; id: string }> }

const sources: readonly string[] = ['kept', 'site', 'design'] satisfies LiverySource[]

export async function GET(_request: Request, { params }: Context): Promise<Response> {
  const { site, from, id } = await params
  return respond(async () =>
    sources.includes(from) && !textFault(id)
      ? liveryFrom(localOwner, site, from as LiverySource, id)
      : refused({ code: 'not-found' }),
  )
}

export async function POST(request: Request, { params }: Context): Promise<Response> {
  const { site, from, id } = await params
  return respondTo(request, liveryDeed, async (deed) =>
    from === 'kept' && !textFault(id)
      ? changeLivery(localOwner, site, id, deed)
      : refused({ code: 'not-found' }),
  )
}
