import { exchangeOfs, type ExchangeOf } from '@/core/exchange'
import { refused } from '@/core/payloads'
import { localOwner, standingTexts } from '@/server'
import { respond } from '../../../../respond'

type Context = { params: Promise<{ site: string; of: string }> }

const isStanding = (of: string): of is Exclude<ExchangeOf, 'words'> =>
  of !== 'words' && (exchangeOfs as readonly string[]).includes(of)

/** What stands on a site and can be exchanged. */
export async function GET(_request: Request, { params }: Context): Promise<Response> {
  const { site, of } = await params
  return respond(async () =>
    isStanding(of) ? standingTexts(localOwner, site, of) : refused({ code: 'not-found' }),
  )
}
