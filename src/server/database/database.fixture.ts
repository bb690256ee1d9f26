import { randomUUID } from 'node:crypto'
import { demoSites } from '@demo/sites'
import { seedDemo } from '@demo/seed'
import type { Edit } from '@/core/edit'
import type { Result, Saved } from '@/core/payloads'
import { canonicalJson, type RecordKind, type SiteDocs } from '@/core/site'
import { localOwner, type Actor } from '../access'
import { saveEdits } from '../edits'
import { migrate } from '../migrations/migrate'
import { bringUpToDate, hashOf, loadWhole } from '../records'
import { checkIndex } from '../uses'
import { closeDatabase, database } from './connection'
import { models } from './models'
import { tell } from './sets'

/**
 * The real PostgreSQL that ./easel test starts. Each test file gets a schema of
 * its own database, so that files can run side by side.
 */
export const databaseUrl = process.env.DATABASE_URL

/** Skips loudly rather than passing where there is no database. */
export function needDatabase(): void {
  if (!databaseUrl) throw new Error('DATABASE_URL is not set; run ./easel test unit')
}

export async function openEmptyDatabase(name: string): Promise<void> {
  needDatabase()
  const address = new URL(databaseUrl!)
  await database().query(`drop database if exists "${name}"`)
  await database().query(`create database "${name}"`)
  await closeDatabase()
  address.pathname = `/${name}`
  process.env.DATABASE_URL = address.href
}

export async function openTestDatabase(name: string): Promise<void> {
  await openEmptyDatabase(name)
  await migrate()
  await bringUpToDate()
  await seedDemo()
}

/** Closes it, after a look at whether its index says what the readers say. */
export async function closeTestDatabase(): Promise<void> {
  const { faults } = await checkIndex()
  await closeDatabase()
  process.env.DATABASE_URL = databaseUrl
  expect(faults).toEqual([])
}

export const [siteId, otherSiteId] = demoSites.map(({ id }) => id) as [string, string]

/** Somebody who belongs to no workspace. */
export const stranger: Actor = { userId: 'a-stranger' }

/** Saves edits of the owner on the site as it is now. */
export const save = async (...edits: unknown[]): Promise<Result<Saved>> =>
  saveEdits(
    localOwner,
    siteId,
    await revisionOf(siteId),
    edits.map((edit) => ({ clientId: randomUUID(), edit: edit as Edit })),
  )

/** One text for the whole state of a site, to compare states by. */
export const stateText = (docs: SiteDocs): string => canonicalJson(docs)

export const stateOf = async (site: string): Promise<string> => stateText(await loadWhole(site))

export async function revisionOf(site: string): Promise<number> {
  return (await models().Site.findByPk(site))!.revision
}

/** Puts a text in place of a record's, as a hand in the database would; with its own hash, or with another. */
export async function tamper(
  site: string,
  { kind, id }: { readonly kind: RecordKind; readonly id: string },
  body: string,
  schema: number,
  hash = hashOf(body),
): Promise<void> {
  await tell(
    'insert into contents (site_id, hash, kind, schema, body) values ($1, $2, $3, $4, $5) on conflict (site_id, hash) do update set body = excluded.body, schema = excluded.schema',
    [site, hash, kind, schema, body],
  )
  await tell('update records set hash = $4 where site_id = $1 and kind = $2 and id = $3', [
    site,
    kind,
    id,
    hash,
  ])
}
