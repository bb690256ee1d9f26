import pg from 'pg'
import { Sequelize } from 'sequelize'

/**
 * The database is opened when it is first needed, never while modules load, and
 * kept across reloads of the development server.
 */
const held = globalThis as { easelDatabase?: Sequelize }

export function database(): Sequelize {
  held.easelDatabase ??= open()
  return held.easelDatabase
}

function open(): Sequelize {
  const address = process.env.DATABASE_URL
  if (!address) throw new Error('DATABASE_URL is not set. Start with ./easel demo or ./easel dev.')
  return new Sequelize(address, {
    dialect: 'postgres',
    dialectModule: pg,
    logging: false,
    pool: { max: 8, min: 0, acquire: 6000, idle: 10_000 },
    dialectOptions: { connectionTimeoutMillis: 4000 },
  })
}

export async function closeDatabase(): Promise<void> {
  await held.easelDatabase?.close()
  delete held.easelDatabase
}
