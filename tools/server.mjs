import { spawn } from 'node:child_process'
import { openSync } from 'node:fs'
import net from 'node:net'
import path from 'node:path'
import { workerFile } from './machine.mjs'
import { root, stateFolder, untilAnswers } from './steps.mjs'

/**
 * A second address of the application: what arrives there goes on to it
 * unchanged. Published sites are asked for by this one, so that they are of
 * another origin than the editor; behind a balancer a host name of its own does that.
 */
async function startRelay(port, target) {
  const open = new Set()
  const relay = net.createServer((incoming) => {
    const outgoing = net.connect({ port: target, host: '127.0.0.1' })
    for (const [socket, other] of [
      [incoming, outgoing],
      [outgoing, incoming],
    ]) {
      open.add(socket)
      socket.pipe(other)
      socket.on('error', () => other.destroy())
      socket.on('close', () => {
        open.delete(socket)
        other.destroy()
      })
    }
  })
  await new Promise((resolve, reject) => {
    relay.once('error', reject)
    relay.listen(port, '127.0.0.1', resolve)
  })
  return () => {
    for (const socket of open) socket.destroy()
    return new Promise((resolve) => relay.close(resolve))
  }
}

/** A process of ours in a group of its own, so that Ctrl-C reaches us first and we end it in order. */
function startProcess(args, env, output) {
  const child = spawn(process.execPath, args, {
    cwd: root,
    env: { ...process.env, NEXT_TELEMETRY_DISABLED: '1', ...env },
    stdio: ['ignore', output, output, 'ipc'],
    detached: true,
  })
  const ended = new Promise((resolve) => child.once('exit', resolve))
  const isAlive = () => child.exitCode === null && child.signalCode === null
  const stop = async () => {
    if (!isAlive()) return
    try {
      process.kill(-child.pid, 'SIGTERM')
    } catch {
      child.kill('SIGTERM')
    }
    const patience = setTimeout(() => child.kill('SIGKILL'), 5000)
    await ended
    clearTimeout(patience)
  }
  let lastBeat = Date.now()
  child.on('message', () => (lastBeat = Date.now()))
  /** How long ago it last said that it is well, in milliseconds. */
  const silence = () => Date.now() - lastBeat
  return { child, ended, isAlive, stop, silence }
}

/** Memory is given back early: a server that waits for somebody need not hold what it does not use. */
const lean = ['--max-semi-space-size=8', '--heap-growing-percent=20']
/** The same of memory outside of JavaScript: glibc keeps a heap for every few threads otherwise (mallopt(3)). */
const leanOutside = { MALLOC_ARENA_MAX: '2' }

/** Starts the worker, which does the long work beside the server. */
export function startWorker({ databaseUrl, files, mode = 'start', log = 'worker.log' }) {
  const output = openSync(path.join(stateFolder, log), 'w')
  const tsx = path.join(root, 'node_modules', 'tsx', 'dist', 'cli.mjs')
  const args = mode === 'dev' ? [tsx, 'src/worker/main.ts'] : [...lean, workerFile]
  const env = {
    DATABASE_URL: databaseUrl,
    EASEL_FILES: files,
    NODE_ENV: mode === 'dev' ? 'development' : 'production',
    ...leanOutside,
  }
  return startProcess(args, env, output)
}

/** Starts the application, and the second address for published sites, and waits until it answers. */
export async function startServer({
  port,
  publishedPort,
  databaseUrl,
  files,
  mode = 'start',
  log = 'server.log',
}) {
  const output = openSync(path.join(stateFolder, log), 'w')
  const built = [...lean, path.join(root, 'tools', 'serve.mjs'), String(port)]
  const developed = [
    path.join(root, 'node_modules', 'next', 'dist', 'bin', 'next'),
    ...['dev', '-p', String(port), '-H', '127.0.0.1'],
  ]
  const published = `http://127.0.0.1:${publishedPort}`
  const stopRelay = await startRelay(publishedPort, port)
  const env = {
    DATABASE_URL: databaseUrl,
    EASEL_FILES: files,
    EASEL_PUBLISHED: published,
    NODE_ENV: mode === 'dev' ? 'development' : 'production',
    ...leanOutside,
  }
  const server = startProcess(mode === 'dev' ? developed : built, env, output)
  const address = `http://127.0.0.1:${port}`
  const stop = async () => {
    await stopRelay()
    await server.stop()
  }
  try {
    await untilAnswers(`${address}/api/health`, server.child, mode === 'dev' ? 120 : 60)
  } catch (error) {
    await stop()
    throw error
  }
  return { ...server, address, published, stop }
}

/** The application whole: server and worker. */
export async function startApplication(options) {
  const worker = startWorker({ ...options, log: options.log?.replace('server', 'worker') })
  try {
    const server = await startServer(options)
    return {
      ...server,
      worker,
      stop: async () => {
        await worker.stop()
        await server.stop()
      },
    }
  } catch (error) {
    await worker.stop()
    throw error
  }
}
