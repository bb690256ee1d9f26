import { rmSync } from 'node:fs'
import path from 'node:path'
import {
  ensureBrowser,
  ensureBuild,
  ensureDebian,
  ensureFonts,
  ensurePackages,
} from './machine.mjs'
import { startPostgres } from './postgres.mjs'
import { startApplication } from './server.mjs'
import { freePort, npx, stateFolder, step } from './steps.mjs'

/** Runs something against the built application with freshly seeded demo sites, which are thrown away after it. */
export async function withApplication(name, work) {
  await ensureDebian(['postgresql-15'])
  await ensureBrowser()
  await ensurePackages()
  ensureFonts()
  await ensureBuild()
  const files = path.join(stateFolder, `${name}-files`)
  rmSync(files, { recursive: true, force: true })
  const postgres = await step('Starting a throw-away PostgreSQL', () =>
    startPostgres({ name: `${name}-postgres`, throwAway: true, firstPort: 54_730 }),
  )
  try {
    await postgres.createDatabase(name)
    const databaseUrl = postgres.address(name)
    await step('Preparing the demo sites', () =>
      npx('tsx', ['demo/prepare.ts'], { env: { DATABASE_URL: databaseUrl, EASEL_FILES: files } }),
    )
    const port = await freePort(4473)
    const publishedPort = await freePort(5473)
    const server = await startApplication({
      port,
      publishedPort,
      databaseUrl,
      files,
      log: `${name}-server.log`,
    })
    try {
      const pids = [server.child.pid, server.worker.child.pid]
      await work(server.address, { databaseUrl, files, pids })
    } finally {
      await server.stop()
    }
  } finally {
    await postgres.stop()
  }
}
