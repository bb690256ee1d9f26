import { done, type BrokenLinks, type Result } from '@/core/payloads'
import { siteFor, type Actor } from '../access'
import { select } from '../database/sets'

/** Most pages, or pictures, that are told at once. */
const mostTold = 200

/** Where links lead to pages that are gone, or nowhere yet: by page, in order; header, footer and parts first. */
export async function brokenLinks(actor: Actor, siteId: string): Promise<Result<BrokenLinks>> {
  const found = await siteFor(actor, 'read', siteId)
  if (!found.ok) return found
  return done(
    await select<BrokenLinks[number]>(
      `select r.kind, r.id, r.title,
         count(*) filter (where m[1] <> '#')::int as gone,
         count(*) filter (where m[1] = '#')::int as nowhere
       from records r
         join contents c on c.site_id = r.site_id and c.hash = r.hash
         cross join lateral regexp_matches(c.body, '"href":"(page:[a-z0-9-]+|#)"', 'g') m
         left join records p
           on p.site_id = r.site_id and p.kind = 'page' and 'page:' || p.id = m[1]
       where r.site_id = $1 and r.kind in ('frame', 'page') and p.no is null
       group by r.no, r.kind, r.id, r.title, r.position
       order by r.kind, r.position, r.id limit ${mostTold}`,
      [siteId],
    ),
  )
}

/**
 * Pictures that say nothing in words to who does not see them, of those that are shown with such:
 * a logo beside its name needs none. By file name.
 */
export async function silentPictures(
  actor: Actor,
  siteId: string,
): Promise<Result<readonly string[]>> {
  const found = await siteFor(actor, 'read', siteId)
  if (!found.ok) return found
  const rows = await select<{ path: string }>(
    `select distinct p.path
     from records r
       join contents c on c.site_id = r.site_id and c.hash = r.hash
       cross join lateral
         regexp_matches(c.body, '"asset":"([a-z][a-z0-9-]*)"(?:[}]|,"caption"|,"ratio")', 'g') m
       join records p on p.site_id = r.site_id and p.kind = 'picture' and p.id = m[1]
       join contents d on d.site_id = p.site_id and d.hash = p.hash
     where r.site_id = $1 and r.kind in ('frame', 'page') and position('"alt":""' in d.body) > 0
     order by p.path limit ${mostTold}`,
    [siteId],
  )
  return done(rows.map(({ path }) => path))
}
