import { demoSites } from '@demo/sites'
import { seedDemo } from '@demo/seed'
import { closeDatabase, database } from './database/connection'
import { models } from './database/models'
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

export const siteId = demoSites[0]!.id

export async function stateOf(site: string): Promise<string> {
  const row = await models().Site.findByPk(site)
  return stateText(await loadDocs(row!, 'all'))
}

export async function revisionOf(site: string): Promise<number> {
  return (await models().Site.findByPk(site))!.revision
}
