import { spawn } from 'node:child_process'
import { openSync } from 'node:fs'
import net from 'node:net'
import path from 'node:path'
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
  const built = [path.join(root, 'tools', 'serve.mjs'), String(port)]
  const developed = [
    path.join(root, 'node_modules', 'next', 'dist', 'bin', 'next'),
    ...['dev', '-p', String(port), '-H', '127.0.0.1'],
  ]
  const args = mode === 'dev' ? developed : built
  const published = `http://127.0.0.1:${publishedPort}`
  const stopRelay = await startRelay(publishedPort, port)
  const child = spawn(process.execPath, args, {
    cwd: root,
    env: {
      ...process.env,
      DATABASE_URL: databaseUrl,
      EASEL_FILES: files,
      EASEL_PUBLISHED: published,
      NEXT_TELEMETRY_DISABLED: '1',
      NODE_ENV: mode === 'dev' ? 'development' : 'production',
    },
    stdio: ['ignore', output, output],
    // A group of its own, so that Ctrl-C reaches us first and we end it in order.
    detached: true,
  })
  const ended = new Promise((resolve) => child.once('exit', resolve))
  const address = `http://127.0.0.1:${port}`
  const stop = async () => {
    await stopRelay()
    if (child.exitCode === null) {
      try {
        process.kill(-child.pid, 'SIGTERM')
      } catch {
        child.kill('SIGTERM')
      }
      const patience = setTimeout(() => child.kill('SIGKILL'), 5000)
      await ended
      clearTimeout(patience)
    }
  }
  try {
    await untilAnswers(`${address}/api/health`, child, mode === 'dev' ? 120 : 60)
  } catch (error) {
    await stop()
    throw error
  }
  return { address, published, child, ended, stop }
}
