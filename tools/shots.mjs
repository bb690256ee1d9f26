import { mkdirSync, rmSync } from 'node:fs'
import path from 'node:path'
import { ensureBuild, ensureDebian, ensureFonts, ensurePackages } from './machine.mjs'
import { startPostgres } from './postgres.mjs'
import { startServer } from './server.mjs'
import { freePort, npx, root, stateFolder, step } from './steps.mjs'

/** Takes the pictures of docs/screenshots anew, from freshly seeded demo sites. */
export async function run() {
  await ensureDebian(['postgresql-15', 'chromium'])
  await ensurePackages()
  ensureFonts()
  await ensureBuild()
  const files = path.join(stateFolder, 'shot-files')
  rmSync(files, { recursive: true, force: true })
  const postgres = await step('Starting a throw-away PostgreSQL', () =>
    startPostgres({ name: 'shot-postgres', throwAway: true, firstPort: 54_730 }),
  )
  try {
    await postgres.createDatabase('shots')
    const databaseUrl = postgres.address('shots')
    await step('Preparing the demo sites', () =>
      npx('tsx', ['demo/prepare.ts'], { env: { DATABASE_URL: databaseUrl, EASEL_FILES: files } }),
    )
    const server = await startServer({
      port: await freePort(4473),
      databaseUrl,
      files,
      log: 'shot-server.log',
    })
    try {
      mkdirSync(path.join(root, 'docs', 'screenshots'), { recursive: true })
      await step('Taking the pictures', () =>
        npx('tsx', ['docs/shots.ts'], { env: { EASEL_ADDRESS: server.address } }),
      )
    } finally {
      await server.stop()
    }
  } finally {
    await postgres.stop()
  }
  return 0
}
