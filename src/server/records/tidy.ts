import { database } from '../database/connection'
import type { Transaction } from 'sequelize'
import { select, tell } from '../database/sets'
import { fileStore } from '../storage'
import { stagedTables } from '../uses/index-change'

/** What nobody can reach is left alone for this long: somebody may be about to refer to it. */
const GRACE = '1 hour'
const GRACE_MS = 3_600_000
/** No wide edit takes so long. */
const LONGEST_WORK = '1 day'

/** Contents that no record, checkpoint or publication refers to any more. */
async function tidyContents(): Promise<number> {
  const [, meta] = await database().query(
    `delete from contents c where c.at < now() - interval '${GRACE}'
       and not exists (select from records r where r.site_id = c.site_id and r.hash = c.hash)
       and not exists (
         select from snapshot_records s where s.site_id = c.site_id and s.hash = c.hash)`,
  )
  return (meta as { rowCount?: number }).rowCount ?? 0
}

/** What wide edits that were killed have left beside their sites. */
async function tidyStaged(): Promise<void> {
  await database().query(
    `delete from staged_records where begun < now() - interval '${LONGEST_WORK}'`,
  )
  for (const table of stagedTables) {
    await database().query(`delete from ${table} where job not in (select job from staged_records)`)
  }
}

/** How long a site that was removed can be brought back, in days. */
export const daysOfGrace = 30

/** Sites whose grace is over, with all that is theirs. */
const tidySites = () =>
  tell(`delete from sites where removed_at < now() - interval '${daysOfGrace} days'`, [])

/** Looks that nothing on their site has any more. */
const tidyLooks = () => tell('delete from site_looks where count = 0', [])

/** Of some files, those that a record, the history or a publication refers to. */
async function reached(hashes: readonly string[]): Promise<Set<string>> {
  const rows = await select<{ hash: string }>(
    `with asked (hash) as (select unnest($1::text[]))
     select hash from publication_files where hash in (select hash from asked)
     union select f.hash from contents c, lateral (select (c.body::jsonb)->>'file') f (hash)
       where c.kind in ('picture', 'font') and f.hash in (select hash from asked)
     union select m[1] from edit_records e,
       lateral regexp_matches(e.changes, '"(?:file|from|to)":"([0-9a-f]{64})"', 'g') m
       where e.kind in ('picture', 'font') and m[1] in (select hash from asked)`,
    [hashes],
  )
  return new Set(rows.map(({ hash }) => hash))
}

const LOCK = `hashtext('tidy files')`

/** While a transaction lasts no file is taken away: for those who put files and refer to them at its end. */
export const keepTidyAway = (transaction: Transaction): Promise<void> =>
  tell(`select pg_advisory_xact_lock_shared(${LOCK})`, [], transaction)

/** Files that nothing refers to; those that the history can bring back are kept. Left for later while files are put. */
const tidyFiles = (): Promise<number> =>
  database().transaction(async (transaction) => {
    const [row] = await select<{ mine: boolean }>(
      `select pg_try_advisory_xact_lock(${LOCK}) as mine`,
      [],
      transaction,
    )
    return row?.mine ? removeUnreached() : 0
  })

async function removeUnreached(): Promise<number> {
  const store = fileStore()
  let removed = 0
  for await (const files of store.list()) {
    const old = files.filter(({ at }) => Date.now() - at.getTime() > GRACE_MS)
    if (old.length === 0) continue
    const kept = await reached(old.map(({ hash }) => hash))
    for (const { hash } of old) {
      // A name that is no hash is the rest of a write that was killed.
      if (kept.has(hash)) continue
      await store.remove(hash)
      removed += 1
    }
  }
  return removed
}

/** Work that was over long ago, dry runs that nobody comes back to, windows that went without a word. */
async function tidyTraces(): Promise<void> {
  await database().query(`
    delete from jobs where ended_at < now() - interval '7 days';
    delete from plans where created_at < now() - interval '1 day';
    delete from windows where seen_at < now() - interval '${GRACE}';
  `)
}

/** Takes away what nothing can reach any more: contents, files, rests of killed work. */
export async function tidyUp(): Promise<{ readonly contents: number; readonly files: number }> {
  await tidyStaged()
  await tidySites()
  await tidyLooks()
  await tidyTraces()
  return { contents: await tidyContents(), files: await tidyFiles() }
}
