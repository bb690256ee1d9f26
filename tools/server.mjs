import { spawn } from 'node:child_process'
import { openSync } from 'node:fs'
import path from 'node:path'
import { root, stateFolder, untilAnswers } from './steps.mjs'

/** Starts the application and waits until it answers. */
export async function startServer({
  port,
  databaseUrl,
  files,
  mode = 'start',
  log = 'server.log',
}) {
  const output = openSync(path.join(stateFolder, log), 'w')
  const args = [
    path.join(root, 'node_modules', 'next', 'dist', 'bin', 'next'),
    mode,
    '-p',
    String(port),
    '-H',
    '127.0.0.1',
  ]
  const child = spawn(process.execPath, args, {
    cwd: root,
    env: {
      ...process.env,
      DATABASE_URL: databaseUrl,
      EASEL_FILES: files,
      NEXT_TELEMETRY_DISABLED: '1',
    },
    stdio: ['ignore', output, output],
    // A group of its own, so that Ctrl-C reaches us first and we end it in order.
    detached: true,
  })
  const ended = new Promise((resolve) => child.once('exit', resolve))
  const address = `http://127.0.0.1:${port}`
  const stop = async () => {
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
  return { address, child, ended, stop }
}
