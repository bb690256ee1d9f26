import { spawn } from 'node:child_process'
import { mkdirSync } from 'node:fs'
import net from 'node:net'
import path from 'node:path'
import { createInterface } from 'node:readline'

export const root = path.resolve(import.meta.dirname, '..')
export const stateFolder = path.join(root, '.easel')
mkdirSync(stateFolder, { recursive: true })

/** Something went wrong that a person can mend. */
export class Failure extends Error {
  constructor(message, advice) {
    super(message)
    this.advice = advice
  }
}

/** Says what is done, does it, says how long it took. */
export async function step(told, work) {
  const start = Date.now()
  process.stdout.write(`· ${told} … `)
  try {
    const result = await work()
    const note = typeof result === 'string' ? `${result}, ` : ''
    console.log(`${note}${((Date.now() - start) / 1000).toFixed(1)} s`)
    return result
  } catch (error) {
    console.log('failed')
    throw error
  }
}

/** Runs a program to its end; gives its output, or fails with the last lines of it. */
export function execute(
  program,
  args,
  { advice, env, cwd = root, input, show = false, onLine } = {},
) {
  return new Promise((resolve, reject) => {
    const child = spawn(program, args, {
      cwd,
      env: { ...process.env, NEXT_TELEMETRY_DISABLED: '1', ...env },
      stdio: [
        input === undefined ? 'ignore' : 'pipe',
        show ? 'inherit' : 'pipe',
        show ? 'inherit' : 'pipe',
      ],
    })
    let output = ''
    child.stdout?.on('data', (data) => (output += data))
    child.stderr?.on('data', (data) => (output += data))
    if (onLine) {
      for (const stream of [child.stdout, child.stderr])
        createInterface({ input: stream }).on('line', onLine)
    }
    child.on('error', (error) => reject(new Failure(`${program}: ${error.message}`, advice)))
    child.on('close', (code) => {
      if (code === 0) return resolve(output)
      const tail = output.trim().split('\n').slice(-30).join('\n')
      reject(new Failure(`${program} ${args.join(' ')} ended with ${code}\n${tail}`, advice))
    })
    if (input !== undefined) child.stdin.end(input)
  })
}

export const npx = (tool, args, options) =>
  execute(process.execPath, [path.join(root, 'node_modules', '.bin', tool), ...args], options)

/** The first free port on loopback, from `first` on. */
export async function freePort(first) {
  for (let port = first; port < first + 200; port += 1) {
    const free = await new Promise((resolve) => {
      const server = net.createServer()
      server.once('error', () => resolve(false))
      server.listen(port, '127.0.0.1', () => server.close(() => resolve(true)))
    })
    if (free) return port
  }
  throw new Failure(
    `no free port between ${first} and ${first + 200}`,
    'stop a program that listens there',
  )
}

/** Waits until the server answers, or until it has ended. */
export async function untilAnswers(address, child, seconds = 60) {
  const end = Date.now() + seconds * 1000
  while (Date.now() < end) {
    if (child.exitCode !== null) {
      throw new Failure('the server ended before it answered', 'read .easel/server.log')
    }
    try {
      const response = await fetch(address)
      if (response.ok) return
    } catch {
      // Not up yet.
    }
    await new Promise((resolve) => setTimeout(resolve, 150))
  }
  throw new Failure(`no answer from ${address} within ${seconds} s`, 'read .easel/server.log')
}
