import { localOwner, packedSite } from '@/server'
import { respondFile } from '../../../../respond'

type Context = { params: Promise<{ site: string }> }

export async function GET(_request: Request, { params }: Context): Promise<Response> {
  const { site } = await params
  return respondFile('application/zip', `${site}.zip`, () => packedSite(localOwner, site))
}
