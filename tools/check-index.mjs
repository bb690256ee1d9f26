import { readFileSync } from 'node:fs'
import path from 'node:path'
import { Failure, npx, stateFolder } from './steps.mjs'

/** The database of the demo that runs here, or the one that is named. */
function databaseAddress() {
  if (process.env.DATABASE_URL) return process.env.DATABASE_URL
  try {
    return JSON.parse(readFileSync(path.join(stateFolder, 'demo.json'), 'utf8')).databaseUrl
  } catch {
    throw new Failure('no demo runs here', 'start ./easel demo, or set DATABASE_URL')
  }
}

/** Compares the kept index of every site with what the readers say. */
export async function run() {
  await npx('tsx', ['tools/check-index.ts'], {
    show: true,
    env: { DATABASE_URL: databaseAddress() },
    advice: 'the index is read anew at the next start once readersVersion is raised',
  })
  return 0
}
