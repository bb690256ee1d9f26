import { beginRequest } from '@/core/payloads'
import { beginSite, localOwner } from '@/server'
import { respondTo } from '../respond'

export async function POST(request: Request): Promise<Response> {
  return respondTo(request, beginRequest, (wanted) => beginSite(localOwner, wanted))
}
