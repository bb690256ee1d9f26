import { lookAfter, restartLimit } from './watch.mjs'

test('what dies is brought back, a few times and no more', async () => {
  let [lives, restarts] = [false, 0]
  const limit = restartLimit('service', { restarts: 3, within: 60_000 }, () => 1000)
  const looked = lookAfter({
    name: 'service',
    isAlive: () => Promise.resolve(lives),
    restart: () => {
      restarts += 1
      lives = false
      return Promise.resolve()
    },
    isWanted: () => true,
    every: 1,
    limit,
  })
  await expect(looked).rejects.toThrow('the service died 4 times within 1 minutes')
  expect(restarts).toBe(3)
})

test('deaths far apart do not add up', () => {
  let now = 0
  const count = restartLimit('service', { restarts: 2, within: 1000 }, () => now)
  for (now = 0; now < 10_000; now += 600) expect(count).not.toThrow()
})

test('nothing is restarted once it is no longer wanted', async () => {
  const restart = jest.fn(() => Promise.resolve())
  let asked = 0
  await lookAfter({
    name: 'service',
    isAlive: () => Promise.resolve(false),
    restart,
    isWanted: () => (asked += 1) < 2,
    every: 1,
  })
  expect(restart).not.toHaveBeenCalled()
})
