import { createHash, randomBytes } from 'node:crypto'
import { existsSync, mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import path from 'node:path'
import { isRoot } from './machine.mjs'
import { execute, Failure, freePort, root, stateFolder } from './steps.mjs'

const bin = '/usr/lib/postgresql/15/bin'

/** PostgreSQL refuses root, so as root it runs as the user that Debian made for it. */
function asServer(program, args, options = {}) {
  const full = path.join(bin, program)
  return isRoot
    ? execute('runuser', ['-u', 'postgres', '--', full, ...args], { cwd: '/', ...options })
    : execute(full, args, { cwd: '/', ...options })
}

async function reachable(folder) {
  if (!isRoot) return true
  try {
    await execute('runuser', ['-u', 'postgres', '--', 'test', '-x', path.dirname(folder)], {
      cwd: '/',
    })
    return true
  } catch {
    return false
  }
}

/** The data folder, inside the project; beside it only where the server's user cannot get there. */
async function dataFolder(name) {
  const inside = path.join(stateFolder, name)
  if (await reachable(inside)) return inside
  const mark = createHash('sha256').update(root).digest('hex').slice(0, 10)
  const outside = `/var/tmp/ample-easel-${mark}-${name}`
  console.log(`\n  (the postgres user cannot reach ${stateFolder}; the data lies in ${outside})`)
  return outside
}

async function prepareFolder(folder) {
  mkdirSync(folder, { recursive: true, mode: 0o700 })
  if (isRoot) await execute('chown', ['postgres:', folder])
}

function secretOf(name) {
  const file = path.join(stateFolder, `${name}-password`)
  if (!existsSync(file)) writeFileSync(file, randomBytes(18).toString('hex'), { mode: 0o600 })
  return readFileSync(file, 'utf8').trim()
}

async function initialize(folder, secret) {
  await prepareFolder(folder)
  const base = ['-D', folder, '-U', 'app', '-E', 'UTF8', '--locale=C.UTF-8']
  if (!secret) return asServer('initdb', [...base, '-A', 'trust'])
  // The password goes through a file that the server's user can read, and that is gone at once.
  const file = path.join(folder, '..', `.pw-${process.pid}`)
  writeFileSync(file, secret, { mode: 0o600 })
  if (isRoot) await execute('chown', ['postgres:', file])
  try {
    return await asServer('initdb', [...base, '-A', 'scram-sha-256', `--pwfile=${file}`])
  } finally {
    rmSync(file, { force: true })
  }
}

async function isUp(folder) {
  try {
    await asServer('pg_ctl', ['-D', folder, 'status'])
    return true
  } catch {
    return false
  }
}

const portOf = (folder) =>
  Number(readFileSync(path.join(folder, 'postmaster.pid'), 'utf8').split('\n')[3])

/**
 * Starts a private cluster on loopback, or joins the one that a killed run left
 * behind. `throwAway` clusters ask no password, do not sync, and are made anew;
 * `port` is given where it is started again for those who know it by that.
 */
export async function startPostgres({ name, throwAway = false, firstPort, port: samePort }) {
  const folder = await dataFolder(name)
  if (throwAway) {
    if (existsSync(folder) && (await isUp(folder)))
      await asServer('pg_ctl', ['-D', folder, '-m', 'immediate', '-w', 'stop'])
    rmSync(folder, { recursive: true, force: true })
  }
  const secret = throwAway ? '' : secretOf(name)
  if (!existsSync(path.join(folder, 'PG_VERSION'))) await initialize(folder, secret)
  let port = 0
  if (await isUp(folder)) port = portOf(folder)
  else {
    port = samePort ?? (await freePort(firstPort))
    const fast = throwAway ? '-c fsync=off -c synchronous_commit=off' : ''
    const log = path.join(folder, 'server.log')
    try {
      await asServer('pg_ctl', [
        '-D',
        folder,
        '-l',
        log,
        '-w',
        '-t',
        '60',
        '-o',
        `-p ${port} -c listen_addresses=127.0.0.1 -c unix_socket_directories='' ${fast}`,
        'start',
      ])
    } catch (error) {
      throw new Failure(
        `PostgreSQL did not start: ${error.message}`,
        `read ${log}; ./easel demo --fresh starts over with an empty database`,
      )
    }
  }
  const credentials = secret ? `app:${secret}` : 'app'
  return {
    folder,
    port,
    address: (database) => `postgres://${credentials}@127.0.0.1:${port}/${database}`,
    createDatabase: (database) => createDatabase(port, secret, database),
    stop: () => asServer('pg_ctl', ['-D', folder, '-m', 'fast', '-w', 'stop']),
    health: () => health(folder, port),
    stopNow: () => stopNow(folder),
  }
}

/** Whether the server answers, has ended, or is there and says nothing. */
async function health(folder, port) {
  const given = ['-h', '127.0.0.1', '-p', String(port), '-t', '5', '-q']
  try {
    await execute(path.join(bin, 'pg_isready'), given, { cwd: '/' })
    return 'well'
  } catch {
    return (await isUp(folder)) ? 'hanging' : 'dead'
  }
}

/** Ends a server that does not answer: by its own command, and where that does not help by its process. */
async function stopNow(folder) {
  if (!(await isUp(folder))) return
  const file = path.join(folder, 'postmaster.pid')
  const pid = Number(readFileSync(file, 'utf8').split('\n')[0])
  await asServer('pg_ctl', ['-D', folder, '-m', 'immediate', '-w', '-t', '5', 'stop']).catch(() => {
    process.kill(pid, 'SIGKILL')
  })
}

async function createDatabase(port, secret, database) {
  const env = secret ? { PGPASSWORD: secret } : {}
  const psql = (sql) =>
    execute(
      path.join(bin, 'psql'),
      ['-h', '127.0.0.1', '-p', String(port), '-U', 'app', '-d', 'postgres', '-tAc', sql],
      { env, cwd: '/' },
    )
  const there = await psql(`select 1 from pg_database where datname = '${database}'`)
  if (there.trim() !== '1') await psql(`create database ${database}`)
}

/** Removes a stopped cluster with all its data. */
export async function removePostgres(name) {
  const folder = await dataFolder(name)
  if (existsSync(folder) && (await isUp(folder)))
    await asServer('pg_ctl', ['-D', folder, '-m', 'fast', '-w', 'stop'])
  rmSync(folder, { recursive: true, force: true })
  rmSync(path.join(stateFolder, `${name}-password`), { force: true })
}
