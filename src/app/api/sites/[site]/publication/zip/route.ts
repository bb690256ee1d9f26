import { localOwner, publishedZip } from '@/server'
import { respond } from '../../../../respond'

type Context = { params: Promise<{ site: string }> }

export async function GET(_request: Request, { params }: Context): Promise<Response> {
  const { site } = await params
  let archive: Uint8Array | undefined
  const refusal = await respond(async () => {
    const result = await publishedZip(localOwner, site)
    if (result.ok) archive = result.value
    return result.ok ? { ok: true, value: null } : result
  })
  if (!archive) return refusal
  return new Response(archive as Uint8Array<ArrayBuffer>, {
    headers: {
      'content-type': 'application/zip',
      'content-disposition': `attachment; filename="${site}.zip"`,
    },
  })
}
