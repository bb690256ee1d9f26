import type { Transaction } from 'sequelize'
import { done, refused, type BeginRequest, type Result, type SiteName } from '@/core/payloads'
import { frameRef } from '@/core/site'
import { mayBegin, siteFor, type Actor } from '../access'
import { database } from '../database/connection'
import { models } from '../database/models'
import { tell } from '../database/sets'
import { loadFrame, writeRecords } from '../records'
import { tableColumns } from '../uses/columns'
import { createSite, type NewSite } from './create'
import { designDocs } from './design'
import { newSite } from './new-site'

/** Copies the records of a site, and what is kept beside them, in sets: nothing of it is read here. */
async function copyRecords(from: string, to: string, transaction: Transaction): Promise<void> {
  const both = [from, to]
  await tell(
    `insert into contents (site_id, hash, kind, schema, body)
     select $2, hash, kind, schema, body from contents c where site_id = $1
       and exists (select from records r where r.site_id = $1 and r.hash = c.hash)`,
    both,
    transaction,
  )
  const listed = 'kind, id, hash, title, path, position, readers, index_hash'
  await tell(
    `insert into records (site_id, revision, ${listed})
     select $2, 0, ${listed} from records where site_id = $1`,
    both,
    transaction,
  )
  for (const [table, columns] of Object.entries<object>(tableColumns)) {
    const names = Object.keys(columns)
    const there: Record<string, string> = { record: 'fresh.no', site_id: 'fresh.site_id' }
    await tell(
      `insert into ${table} (${names.join(', ')})
       select ${names.map((name) => there[name] ?? `l.${name}`).join(', ')}
       from ${table} l join records old on old.no = l.record
         join records fresh on fresh.site_id = $2 and fresh.kind = old.kind and fresh.id = old.id
       where old.site_id = $1`,
      both,
      transaction,
    )
  }
}

/** A copy of a site as it is now, under another name, with a history of its own. */
async function copySite(
  from: string,
  site: NewSite,
  name: string,
  transaction: Transaction,
): Promise<void> {
  // Nobody changes it while it is copied.
  await tell('select 1 from sites where id = $1 for share', [from], transaction)
  await models().Site.create({ ...site, name, revision: 0 }, { transaction })
  await copyRecords(from, site.id, transaction)
  const frame = await loadFrame(from, transaction)
  await writeRecords(site.id, 0, [{ ...frameRef, record: { ...frame, name } }], transaction)
}

/** Begins a site: from nothing but a header, an opening and a footer, or as a copy of another one. */
export function beginSite(actor: Actor, { name, from }: BeginRequest): Promise<Result<SiteName>> {
  return database().transaction(async (transaction) => {
    const copied = 'site' in from ? await siteFor(actor, 'read', from.site, transaction) : undefined
    if (copied && !copied.ok) return copied
    const workspace = await mayBegin(actor, copied?.value.workspaceId, transaction)
    if (workspace === undefined) return refused({ code: 'forbidden' })
    const site = await newSite(workspace, name, transaction)
    if ('site' in from) await copySite(from.site, site, name, transaction)
    else {
      const docs = await designDocs(from, name)
      if (!docs) return refused({ code: 'not-found' })
      await createSite(site, docs, transaction)
    }
    return done({ id: site.id, name })
  })
}
