import { Failure } from './steps.mjs'

/** Restarts within this time are counted, and no more of them are made than that. */
export const LIMIT = { restarts: 3, within: 5 * 60_000 }
/** A service that ends so soon after one that it needs was away has not failed by itself, in milliseconds. */
const EXCUSED = 20_000

/** Counts restarts of one service; fails where there are too many of them in too short a time. */
export function restartLimit(name, { restarts, within } = LIMIT, now = Date.now) {
  let times = []
  return () => {
    times = [...times.filter((time) => now() - time < within), now()]
    if (times.length > restarts) {
      throw new Failure(
        `the ${name} failed ${times.length} times within ${Math.round(within / 60_000)} minutes`,
        `read the logs in .easel, then start again`,
      )
    }
  }
}

/**
 * Looks after services for as long as they are wanted. They are given in the order in which they
 * need one another: where one is not well, those behind it are left alone until it is.
 *
 * Each says how it is: `well`, `dead`, or `hanging`, which counts once it has been so for
 * `patience` looks in a row. Ends with a failure once restarting does not help; whoever calls
 * stops everything then.
 */
export async function supervise(services, options) {
  const { isWanted, every = 2000, say = console.log, now = Date.now, limit = LIMIT } = options
  const held = services.map((service) => ({
    ...service,
    count: restartLimit(service.name, limit, now),
    hung: 0,
  }))
  let lastTrouble = -Infinity
  while (isWanted()) {
    await new Promise((resolve) => setTimeout(resolve, every))
    for (const service of held) {
      if (!isWanted()) return
      const state = await service.check()
      if (state === 'well') {
        service.hung = 0
        continue
      }
      service.hung = state === 'hanging' ? service.hung + 1 : 0
      if (state === 'hanging' && service.hung < (service.patience ?? 3)) break
      if (!isWanted()) return
      const isExcused = service !== held[0] && now() - lastTrouble < EXCUSED
      if (!isExcused) service.count()
      if (service === held[0]) lastTrouble = now()
      say(
        `The ${service.name} ${state === 'dead' ? 'has ended' : 'does not answer'}; starting it again …`,
      )
      await service.restart()
      service.hung = 0
      if (service === held[0]) lastTrouble = now()
      say(`The ${service.name} is back.`)
      break
    }
  }
}
