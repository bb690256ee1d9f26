import { pauseAfterStale } from './after-refusal'

test('the first to come upon a newer state asks at once; those who do so again and again wait, each differently', () => {
  expect(pauseAfterStale(1)).toBe(0)
  expect(pauseAfterStale(2, () => 1)).toBe(300)
  expect(pauseAfterStale(3, () => 0.5)).toBe(300)
  for (let times = 2; times < 40; times += 1) {
    expect(pauseAfterStale(times)).toBeLessThanOrEqual(4000)
  }
})
