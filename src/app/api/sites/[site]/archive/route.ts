import { localOwner, writeArchive } from '@/server'
import { respondFile } from '../../../respond'

type Context = { params: Promise<{ site: string }> }

/** A site as one file, to keep or to carry elsewhere; with its history by `?history`. */
export async function GET(request: Request, { params }: Context): Promise<Response> {
  const { site } = await params
  const withHistory = new URL(request.url).searchParams.has('history')
  return respondFile('application/zip', `${site}.easel.zip`, async () => {
    const archive = await writeArchive(localOwner, site, withHistory)
    return archive.ok ? { ok: true, value: archive.value.data } : archive
  })
}
