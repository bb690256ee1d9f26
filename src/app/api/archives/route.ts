import { beginFromArchiveApart, localOwner, mostArchive } from '@/server'
import { respondToBytes } from '../respond'

/** Begins a site from an archive that is sent. */
export async function POST(request: Request): Promise<Response> {
  return respondToBytes(request, mostArchive, (bytes) => beginFromArchiveApart(localOwner, bytes))
}
