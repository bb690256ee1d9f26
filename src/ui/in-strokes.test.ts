import { inStrokes } from './in-strokes'

function* counting(to: number): Generator<undefined, number> {
  for (let n = 0; n < to; n += 1) {
    const until = performance.now() + 1
    while (performance.now() < until);
    yield undefined
  }
  return to
}

test('work is done whole, with turns for others between', async () => {
  let turns = 0
  const timer = setInterval(() => (turns += 1), 1)
  expect(await inStrokes(counting(60), new AbortController().signal)).toBe(60)
  clearInterval(timer)
  expect(turns).toBeGreaterThan(1)
})

test('work that is called off ends', async () => {
  const stop = new AbortController()
  const work = inStrokes(counting(100_000), stop.signal)
  stop.abort()
  expect(await work).toBeUndefined()
})
