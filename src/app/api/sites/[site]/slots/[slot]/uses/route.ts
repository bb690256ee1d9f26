import { localOwner, slotUses } from '@/server'
import { respond } from '../../../../../respond'

type Context = { params: Promise<{ site: string; slot: string }> }

export async function GET(_request: Request, { params }: Context): Promise<Response> {
  const { site, slot } = await params
  return respond(() => slotUses(localOwner, site, slot))
}
