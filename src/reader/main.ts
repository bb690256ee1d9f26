import type { Actor } from '@/server/access'
import { beginFromArchive } from '@/server/archive/begin-from-archive'
import { checkSite } from '@/server/checks/check-site'
import { readyFont } from '@/server/fonts/ready-font'

/** What threads beside the server do, each by the name under which it is asked (`server/reading`). */
export const font = ({ bytes }: { readonly bytes: Uint8Array }) => readyFont(bytes)

export const archive = ({ actor, bytes }: { readonly actor: Actor; readonly bytes: Uint8Array }) =>
  beginFromArchive(actor, Buffer.from(bytes))

export const check = ({ actor, siteId }: { readonly actor: Actor; readonly siteId: string }) =>
  checkSite(actor, siteId)
