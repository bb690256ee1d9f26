import { rmSync, readFileSync } from 'node:fs'
import path from 'node:path'
import { ensureBuild } from '../machine.mjs'
import { startPostgres } from '../postgres.mjs'
import { startServer, startWorker } from '../server.mjs'
import { Failure, freePort, npx, stateFolder } from '../steps.mjs'
import { createCrowd } from './crowd.mjs'

/** Where all of it lies; a cluster that syncs, for what is acknowledged has to outlive it. */
const name = 'kills-postgres'

/** The number of a random run is told, so that the same kills come at about the same moments. */
function randomBy(seed) {
  let state = seed >>> 0
  return () => {
    state = (Math.imul(state, 1_664_525) + 1_013_904_223) >>> 0
    return state / 2 ** 32
  }
}

const pause = (ms) => new Promise((resolve) => setTimeout(resolve, ms))

/** All of a database server at once, as where the power goes: its first process and its children. */
async function killDatabase(postgres) {
  const pid = Number(
    readFileSync(path.join(postgres.folder, 'postmaster.pid'), 'utf8').split('\n')[0],
  )
  process.kill(pid, 'SIGKILL')
  // Its children end by themselves once they notice.
  await pause(400)
  rmSync(path.join(postgres.folder, 'postmaster.pid'), { force: true })
}

/**
 * Kills server, worker and database at random moments while a crowd edits,
 * sweeps, undoes and publishes; then holds what is stored against what was
 * acknowledged, the index against the readers, and the site undone to the
 * beginning against the seed.
 */
export async function runKills({ kills = 100, seed = Date.now() % 1e6 } = {}) {
  console.log(`kills: ${kills}, seed ${seed}`)
  const random = randomBy(seed)
  await ensureBuild()
  const files = path.join(stateFolder, 'kills-files')
  rmSync(files, { recursive: true, force: true })
  const { removePostgres } = await import('../postgres.mjs')
  await removePostgres(name)
  let postgres = await startPostgres({ name, firstPort: 54_930 })
  await postgres.createDatabase('kills')
  const databaseUrl = postgres.address('kills')
  const env = { DATABASE_URL: databaseUrl, EASEL_FILES: files }
  await npx('tsx', ['demo/prepare.ts'], { env })
  const port = await freePort(4673)
  const publishedPort = await freePort(5673)
  const start = () =>
    startServer({ port, publishedPort, databaseUrl, files, log: 'kills-server.log' })
  const startWork = () => startWorker({ databaseUrl, files, log: 'kills-worker.log' })
  let worker = startWork()
  let server = await start()
  const crowd = createCrowd(server.address, random)
  const killed = { server: 0, worker: 0, database: 0 }
  try {
    for (let n = 0; n < kills; n += 1) {
      await pause(100 + random() * 900)
      const who = random() < 0.4 ? 'worker' : random() < 0.6 ? 'server' : 'database'
      killed[who] += 1
      if (who === 'worker') {
        worker.child.kill('SIGKILL')
        await worker.ended
        worker = startWork()
      } else if (who === 'server') {
        server.child.kill('SIGKILL')
        await server.ended
        await server.stop()
        server = await start()
      } else {
        await killDatabase(postgres)
        postgres = await startPostgres({ name, port: postgres.port })
      }
      if (n % 10 === 9) console.log(`  ${n + 1} kills, ${crowd.told()}`)
    }
    await crowd.stop()
    console.log(`  killed ${JSON.stringify(killed)}; ${crowd.told()}`)
    const acknowledged = JSON.stringify(crowd.acknowledged())
    await npx('tsx', ['tools/long/kills-check.ts'], { env, input: acknowledged, show: false })
    console.log(
      '  what was acknowledged is stored once, index and readers agree, undone to the seed',
    )
  } catch (error) {
    if (error instanceof Failure) throw error
    throw new Failure(`kills with seed ${seed}: ${error.message}`, 'read .easel/kills-server.log')
  } finally {
    await crowd.stop()
    await worker.stop()
    await server.stop()
    await postgres.stop()
  }
}
