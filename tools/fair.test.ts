import { EventEmitter } from 'node:events'
import { fairly } from './fair.mjs'

class Response extends EventEmitter {
  destroyed = false
}

function asked(longest?: number) {
  const begun: string[] = []
  const handle = fairly(({ url }) => void begun.push(url), longest)
  return {
    begun,
    ask(url: string) {
      const response = new Response()
      handle({ url }, response)
      return response
    },
  }
}

test('one site after the other by turns, other sites and pages at once', () => {
  const { begun, ask } = asked()
  const first = ask('/api/sites/a/edits')
  const second = ask('/api/sites/a')
  ask('/api/sites/a?x')
  ask('/api/sites/b')
  ask('/stage')
  ask('/')
  expect(begun).toEqual(['/api/sites/a/edits', '/api/sites/b', '/stage', '/'])
  first.emit('close')
  expect(begun.at(-1)).toBe('/api/sites/a')
  second.emit('close')
  expect(begun.at(-1)).toBe('/api/sites/a?x')
  expect(begun).toHaveLength(6)
})

test('whoever went away is passed over, and a turn is passed on once', () => {
  const { begun, ask } = asked()
  const first = ask('/api/sites/a/1')
  ask('/api/sites/a/2').destroyed = true
  const third = ask('/api/sites/a/3')
  ask('/api/sites/a/4')
  first.emit('close')
  first.emit('close')
  expect(begun).toEqual(['/api/sites/a/1', '/api/sites/a/3'])
  third.emit('close')
  expect(begun.at(-1)).toBe('/api/sites/a/4')
})

test('a request that takes long keeps nobody waiting for ever', async () => {
  const { begun, ask } = asked(20)
  const slow = ask('/api/sites/a/slow')
  ask('/api/sites/a/next')
  ask('/api/sites/a/last')
  /** On a busy machine a while may be long. */
  const untilBegun = async (count: number) => {
    while (begun.length < count) await new Promise((resolve) => setTimeout(resolve, 10))
  }
  await untilBegun(3)
  expect(begun).toEqual(['/api/sites/a/slow', '/api/sites/a/next', '/api/sites/a/last'])
  slow.emit('close')
  ask('/api/sites/a/after')
  await untilBegun(4)
  expect(begun.at(-1)).toBe('/api/sites/a/after')
})
