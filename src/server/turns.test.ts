import { inTurn } from './turns'

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
