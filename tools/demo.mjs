import { readFileSync, rmSync, writeFileSync } from 'node:fs'
import path from 'node:path'
import {
  bundleReader,
  ensureBuild,
  ensureDebian,
  ensureFonts,
  ensurePackages,
  isRunning,
} from './machine.mjs'
import { removePostgres, startPostgres } from './postgres.mjs'
import { startServer, startWorker } from './server.mjs'
import { Failure, freePort, npx, stateFolder, step } from './steps.mjs'
import { lock } from './lock.mjs'
import { supervise } from './supervise.mjs'

const pidFile = path.join(stateFolder, 'demo.json')
const filesFolder = path.join(stateFolder, 'files')

/** What the last run wrote about itself, if it can still be read. */
function lastRun() {
  try {
    return JSON.parse(readFileSync(pidFile, 'utf8'))
  } catch {
    return undefined
  }
}

/** A run that was killed leaves its server and worker behind; they are ended, by the ids that the run wrote down. */
function endOrphans(last) {
  for (const pid of [last?.server, last?.worker]) {
    if (!isRunning(pid)) continue
    const command = readFileSync(`/proc/${pid}/cmdline`, 'utf8')
    if (/serve\.mjs|next|worker/.test(command)) process.kill(pid, 'SIGTERM')
  }
}

function portOption(options) {
  const at = options.indexOf('--port')
  if (at === -1) return 4173
  const port = Number(options[at + 1])
  if (Number.isInteger(port) && port > 1023 && port < 65_000) return port
  throw new Failure(
    '--port wants a number between 1024 and 64999',
    'for example ./easel demo --port 5000',
  )
}

/** How long a run that looks after itself may take to be well again, in seconds. */
const PATIENCE = 45

const NO_ANSWER = 'the application does not answer'
/** A worker that has said nothing for so long hangs, in milliseconds: its longest pieces of work take less. */
const WORKER_SILENCE = 120_000

async function healthOf(address) {
  try {
    const response = await fetch(`${address}/api/health`, { signal: AbortSignal.timeout(8000) })
    return response.ok ? 'well' : 'the database does not answer'
  } catch {
    return NO_ANSWER
  }
}

/** What a run that is there already says of itself; it brings back what has died, so it is waited for. */
async function tellOfRunning({ pid, address }) {
  let health = await healthOf(address)
  if (health !== 'well') console.log(`The demo runs, but ${health}; waiting for it …`)
  for (let second = 0; health !== 'well' && second < PATIENCE && isRunning(pid); second += 1) {
    await new Promise((resolve) => setTimeout(resolve, 1000))
    health = await healthOf(address)
  }
  if (health !== 'well') {
    throw new Failure(
      `a demo runs here (process ${pid}), but ${health}`,
      `end it with: kill ${pid} — then start again; the logs are in .easel`,
    )
  }
  console.log(`The demo runs already: ${address}`)
  return 0
}

export async function run({ name, options }) {
  // Two that start at once do not set up the same folder side by side: the second finds the first one running.
  const release = await lock('setup', 'Another ./easel sets something up here; waiting for it …')
  try {
    return await start({ name, options, release })
  } finally {
    release()
  }
}

async function start({ name, options, release }) {
  const last = lastRun()
  if (last && isRunning(last.pid)) {
    release()
    return tellOfRunning(last)
  }
  endOrphans(last)
  const unknown = options.find(
    (option, i) => !['--fresh', '--port'].includes(option) && options[i - 1] !== '--port',
  )
  if (unknown) throw new Failure(`unknown option ${unknown}`, 'use --fresh or --port N')
  const firstPort = portOption(options)
  const own = !process.env.DATABASE_URL
  if (!own && options.includes('--fresh')) {
    throw new Failure(
      '--fresh would empty the database that DATABASE_URL names, and does not',
      'unset DATABASE_URL to use a database of the project, or name an empty one',
    )
  }
  await ensureDebian(own ? ['postgresql-15'] : [])
  await ensurePackages()
  ensureFonts()
  if (options.includes('--fresh')) {
    await step('Removing the old data', async () => {
      if (own) await removePostgres('postgres')
      rmSync(filesFolder, { recursive: true, force: true })
    })
  }
  const closers = []
  const closeAll = async () => {
    while (closers.length)
      await closers
        .pop()()
        .catch((error) => console.error(error.message))
    rmSync(pidFile, { force: true })
  }
  let stopping = false
  const onSignal = async () => {
    if (stopping) return
    stopping = true
    console.log('\nStopping …')
    await closeAll()
    release()
    console.log('Stopped. Your changes are kept.')
    process.exit(0)
  }
  for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.on(signal, onSignal)
  try {
    let databaseUrl = process.env.DATABASE_URL
    let postgres
    if (own) {
      postgres = await step('Starting PostgreSQL', () =>
        startPostgres({ name: 'postgres', firstPort: 54_330 }),
      )
      closers.push(() => postgres.stop())
      await postgres.createDatabase('easel')
      databaseUrl = postgres.address('easel')
    }
    const env = { DATABASE_URL: databaseUrl, EASEL_FILES: filesFolder }
    await step('Preparing the database', async () => {
      const told = await npx('tsx', ['demo/prepare.ts'], {
        env,
        advice: 'is DATABASE_URL right, and does that server answer?',
      })
      return told.trim().split('\n').at(-1)
    })
    if (name === 'demo') await ensureBuild()
    else await bundleReader()
    const [port, publishedPort] = [await freePort(firstPort), await freePort(firstPort + 1000)]
    const startApp = () =>
      startServer({
        port,
        publishedPort,
        databaseUrl,
        files: filesFolder,
        mode: name === 'dev' ? 'dev' : 'start',
      })
    let server = await step('Starting the application', startApp)
    closers.push(() => server.stop())
    const mode = name === 'dev' ? 'dev' : 'start'
    const startWork = () => startWorker({ databaseUrl, files: filesFolder, mode })
    let worker = startWork()
    closers.push(() => worker.stop())
    const note = () =>
      writeFileSync(
        pidFile,
        JSON.stringify({
          pid: process.pid,
          server: server.child.pid,
          worker: worker.child.pid,
          address: server.address,
          databaseUrl,
        }),
        { mode: 0o600 },
      )
    note()
    release()
    console.log(`\nAmple Easel is at ${server.address}  (Ctrl-C stops it)\n`)
    await supervise(
      [
        // A database that somebody else started is not ours to start again.
        own && {
          name: 'database',
          check: () => postgres.health(),
          restart: async () => {
            await postgres.stopNow()
            postgres = await startPostgres({ name: 'postgres', port: postgres.port })
          },
        },
        {
          name: 'application',
          check: async () => {
            if (!server.isAlive()) return 'dead'
            return (await healthOf(server.address)) === NO_ANSWER ? 'hanging' : 'well'
          },
          restart: async () => {
            await server.stop()
            server = await startApp()
            note()
          },
        },
        {
          name: 'worker',
          check: async () => {
            if (!worker.isAlive()) return 'dead'
            return worker.silence() > WORKER_SILENCE ? 'hanging' : 'well'
          },
          restart: async () => {
            await worker.stop()
            worker = startWork()
            note()
          },
        },
      ].filter(Boolean),
      { isWanted: () => !stopping },
    )
    return await new Promise(() => {})
  } catch (error) {
    if (stopping) return await new Promise(() => {})
    // Nothing goes on in part: what was started is stopped, and the next start finds nothing of this one.
    stopping = true
    await closeAll()
    throw error
  }
}
