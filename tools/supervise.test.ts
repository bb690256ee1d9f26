import { restartLimit, supervise } from './supervise.mjs'

type State = 'well' | 'dead' | 'hanging'

/** Services that are what the test says, and a clock of its own. */
function stage(states: Record<string, State>) {
  const log: string[] = []
  let [time, rounds] = [0, 0]
  const service = (name: string, restart?: () => void) => ({
    name,
    check: () => Promise.resolve(states[name]!),
    restart: () => {
      log.push(name)
      restart?.()
      return Promise.resolve()
    },
  })
  const run = (services: ReturnType<typeof service>[], most: number, onRound?: () => void) =>
    supervise(services, {
      isWanted: () => {
        rounds += 1
        time += 1000
        if (rounds % 2) onRound?.()
        return rounds < most
      },
      every: 1,
      say: () => undefined,
      now: () => time,
      limit: { restarts: 3, within: 60_000 },
    })
  return { log, service, run, states }
}

test('what ends is brought back, a few times and no more', async () => {
  const { log, service, run } = stage({ worker: 'dead' })
  await expect(run([service('worker')], 200)).rejects.toThrow('the worker failed 4 times')
  expect(log).toEqual(['worker', 'worker', 'worker'])
})

test('failures far apart do not add up', () => {
  let now = 0
  const count = restartLimit('service', { restarts: 2, within: 1000 }, () => now)
  for (now = 0; now < 10_000; now += 600) expect(count).not.toThrow()
})

test('what needs another service waits for it, and its end is not held against it', async () => {
  const { log, service, run, states } = stage({ database: 'dead', worker: 'dead' })
  let failures = 0
  const database = service('database', () => {
    failures += 1
    if (failures === 3) states.database = 'well'
  })
  const worker = service('worker', () => (states.worker = 'well'))
  await run([database, worker], 60)
  expect(log).toEqual(['database', 'database', 'database', 'worker'])
})

test('what hangs is brought back after some looks, not at once', async () => {
  const { log, service, run, states } = stage({ application: 'hanging' })
  let looks = 0
  const application = service('application', () => (states.application = 'well'))
  const check = () => {
    looks += 1
    return application.check()
  }
  await run([{ ...application, check }], 40)
  expect(log).toEqual(['application'])
  expect(looks).toBeGreaterThan(3)
})

test('nothing is restarted once it is no longer wanted', async () => {
  const { log, service, run } = stage({ worker: 'dead' })
  await run([service('worker')], 2)
  expect(log).toEqual([])
})
