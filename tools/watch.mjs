import net from 'node:net'
import { Failure } from './steps.mjs'

/** Restarts within this time are counted, and no more of them are made than that. */
export const LIMIT = { restarts: 3, within: 5 * 60_000 }

/** Whether something listens on a port of loopback. */
export function listens(port) {
  return new Promise((resolve) => {
    const socket = net.connect({ port, host: '127.0.0.1', timeout: 2000 })
    const end = (answer) => () => {
      socket.destroy()
      resolve(answer)
    }
    socket.once('connect', end(true))
    socket.once('error', end(false))
    socket.once('timeout', end(false))
  })
}

/** Counts restarts of one service; fails where there are too many of them in too short a time. */
export function restartLimit(name, { restarts, within } = LIMIT, now = Date.now) {
  let times = []
  return () => {
    times = [...times.filter((time) => now() - time < within), now()]
    if (times.length > restarts) {
      throw new Failure(
        `the ${name} died ${times.length} times within ${Math.round(within / 60_000)} minutes`,
        `read the logs in .easel, then start again`,
      )
    }
  }
}

/**
 * Looks after a service for as long as it is wanted: asks again and again
 * whether it lives, and brings it back where it does not. Ends, with a failure,
 * once that does not help.
 */
export async function lookAfter({ name, isAlive, restart, isWanted, every = 2000, limit }) {
  const count = limit ?? restartLimit(name)
  while (isWanted()) {
    await new Promise((resolve) => setTimeout(resolve, every))
    if (!isWanted() || (await isAlive())) continue
    count()
    console.log(`The ${name} has died; starting it again …`)
    await restart()
    console.log(`The ${name} is back.`)
  }
}
