import { randomUUID } from 'node:crypto'
import { demoSites } from '@demo/sites'
import { seedDemo } from '@demo/seed'
import type { Edit } from '@/core/edit'
import type { Result, Saved } from '@/core/payloads'
import { localOwner, type Actor } from './actor'
import { closeDatabase, database } from './database/connection'
import { models } from './database/models'
import { saveEdits } from './edits'
import { migrate } from './migrations/migrate'
import { loadDocs, stateText } from './sites'

/**
 * The real PostgreSQL that ./easel test starts. Each test file gets a schema of
 * its own database, so that files can run side by side.
 */
export const databaseUrl = process.env.DATABASE_URL

/** Skips loudly rather than passing where there is no database. */
export function needDatabase(): void {
  if (!databaseUrl) throw new Error('DATABASE_URL is not set; run ./easel test unit')
}

export async function openTestDatabase(name: string): Promise<void> {
  needDatabase()
  const address = new URL(databaseUrl!)
  await database().query(`drop database if exists "${name}"`)
  await database().query(`create database "${name}"`)
  await closeDatabase()
  address.pathname = `/${name}`
  process.env.DATABASE_URL = address.href
  await migrate()
  await seedDemo()
}

export async function closeTestDatabase(): Promise<void> {
  await closeDatabase()
  process.env.DATABASE_URL = databaseUrl
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

export async function stateOf(site: string): Promise<string> {
  const row = await models().Site.findByPk(site)
  return stateText(await loadDocs(row!, 'all'))
}

export async function revisionOf(site: string): Promise<number> {
  return (await models().Site.findByPk(site))!.revision
}
