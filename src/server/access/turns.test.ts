import { inTurn, sharedReading } from './turns'

test('one after the other by key, side by side for different keys, whatever fails', async () => {
  const told: string[] = []
  const work =
    (name: string, fails = false) =>
    async () => {
      told.push(`${name} begins`)
      await new Promise(setImmediate)
      told.push(`${name} ends`)
      if (fails) throw new Error(name)
      return name
    }
  const results = await Promise.allSettled([
    inTurn('a', work('a1', true)),
    inTurn('a', work('a2')),
    inTurn('b', work('b1')),
  ])
  expect(results.map(({ status }) => status)).toEqual(['rejected', 'fulfilled', 'fulfilled'])
  expect(told.indexOf('a1 ends')).toBeLessThan(told.indexOf('a2 begins'))
  expect(told.indexOf('b1 begins')).toBeLessThan(told.indexOf('a1 ends'))
})

test('whoever asks while something is read shares the next reading, which began after they asked', async () => {
  let [state, readings] = [0, 0]
  const read = async () => {
    readings += 1
    const seen = state
    await new Promise(setImmediate)
    return seen
  }
  const first = sharedReading('x', read)
  state = 1
  const crowd = Array.from({ length: 50 }, () => sharedReading('x', read))
  expect(await first).toBe(0)
  expect(new Set(await Promise.all(crowd))).toEqual(new Set([1]))
  expect(readings).toBe(2)
  state = 2
  expect(await sharedReading('x', read)).toBe(2)
  expect(readings).toBe(3)
})

test('a reading that fails fails for those who share it, and for nobody after', async () => {
  const fail = () => Promise.reject(new Error('away'))
  const both = [sharedReading('y', fail), sharedReading('y', fail)]
  for (const { status } of await Promise.allSettled(both)) expect(status).toBe('rejected')
  expect(await sharedReading('y', () => Promise.resolve('back'))).toBe('back')
})
