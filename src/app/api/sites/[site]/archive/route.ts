import { localOwner, writeArchive } from '@/server'
import { respondFile } from '../../../respond'

type Context = { params: Promise<{ site: string }> }

/** A site as one file, to keep or to carry elsewhere. */
export async function GET(_request: Request, { params }: Context): Promise<Response> {
  const { site } = await params
  return respondFile('application/zip', `${site}.easel.zip`, async () => {
    const archive = await writeArchive(localOwner, site)
    return archive.ok ? { ok: true, value: archive.value.data } : archive
  })
}
