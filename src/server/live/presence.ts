import { done, type Present, type Result } from '@/core/payloads'
import { siteFor, type Actor } from '../access'
import { select, tell } from '../database/sets'
import { announce } from './hear'

/** Who has not been heard of for this long has gone. */
const GONE = '45 seconds'

/** Notes that a window has a site open, and on which page. */
async function present(
  site: string,
  window: string,
  userId: string,
  page: string | null,
): Promise<void> {
  const rows = await select<{ fresh: boolean }>(
    `with before as (select page from windows where id = $1 and seen_at > now() - interval '${GONE}'),
     put as (insert into windows (id, site_id, user_id, page, seen_at) values ($1, $2, $3, $4, now())
       on conflict (id) do update set site_id = excluded.site_id, page = excluded.page, seen_at = now())
     select not exists (select from before where page is not distinct from $4) as fresh`,
    [window, site, userId, page],
  )
  if (rows[0]?.fresh) await announce({ what: 'present', site })
}

async function absent(site: string, window: string): Promise<void> {
  await tell('delete from windows where id = $1', [window])
  await announce({ what: 'present', site })
}

/** Who has a site open just now. */
export function whoIsPresent(site: string): Promise<Present[]> {
  return select<Present>(
    `select w.id as window, u.name, r.title as page from windows w join users u on u.id = w.user_id
       left join records r on r.site_id = w.site_id and r.kind = 'page' and r.id = w.page
     where w.site_id = $1 and w.seen_at > now() - interval '${GONE}' order by w.id`,
    [site],
  )
}

/** A window says that it has a site open, or that it goes. */
export async function tellPresent(
  actor: Actor,
  site: string,
  { window, page, gone }: { window: string; page?: string; gone?: true },
): Promise<Result<null>> {
  const found = await siteFor(actor, 'read', site)
  if (!found.ok) return found
  if (gone) await absent(site, window)
  else await present(site, window, actor.userId, page ?? null)
  return done(null)
}
