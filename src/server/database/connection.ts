import pg from 'pg'
import { Sequelize, Transaction } from 'sequelize'

/**
 * The database is opened when it is first needed, never while modules load, and
 * kept across reloads of the development server.
 */
const held = globalThis as { easelDatabase?: Sequelize }

export function database(): Sequelize {
  held.easelDatabase ??= open()
  return held.easelDatabase
}

/** Compiling a statement takes PostgreSQL 50 to 100 ms, as long as the largest of ours takes to run. */
const SETTINGS = '-c jit=off'

function open(): Sequelize {
  const address = process.env.DATABASE_URL
  if (!address) throw new Error('DATABASE_URL is not set. Start with ./easel demo or ./easel dev.')
  return new Sequelize(address, {
    dialect: 'postgres',
    dialectModule: pg,
    logging: false,
    pool: { max: 8, min: 0, acquire: 6000, idle: 10_000 },
    dialectOptions: { connectionTimeoutMillis: 4000, options: SETTINGS },
  })
}

/** Whether the database answers, within some seconds. */
export async function isReachable(): Promise<boolean> {
  try {
    await database().query('select 1')
    return true
  } catch {
    return false
  }
}

/** Reads from one moment of the database, on one connection, however many questions are asked. */
export function atOneMoment<T>(read: (transaction: Transaction) => Promise<T>): Promise<T> {
  const isolationLevel = Transaction.ISOLATION_LEVELS.REPEATABLE_READ
  return database().transaction({ isolationLevel }, read)
}

export async function closeDatabase(): Promise<void> {
  await held.easelDatabase?.close()
  delete held.easelDatabase
}
