import type { Actor } from '@/server/access'
import { beginFromArchive } from '@/server/archive/begin-from-archive'
import { checkSite } from '@/server/checks/check-site'
import { readyFont } from '@/server/fonts/ready-font'
import { outcomeOf } from '@/server/reading/failure'

interface Given {
  readonly actor: Actor
  readonly siteId: string
  readonly bytes: Uint8Array
}

/** What threads beside the server do, each by the name under which it is asked (`server/reading`). */
export const font = ({ bytes }: Pick<Given, 'bytes'>) => outcomeOf(() => readyFont(bytes))

export const archive = ({ actor, bytes }: Pick<Given, 'actor' | 'bytes'>) =>
  outcomeOf(() => beginFromArchive(actor, Buffer.from(bytes)))

export const check = ({ actor, siteId }: Pick<Given, 'actor' | 'siteId'>) =>
  outcomeOf(() => checkSite(actor, siteId))
