import { placeAt } from './place'

const heights = [9, 6, 3]

test('walks down a page and across to the next, to the last section of a shorter one', () => {
  expect(placeAt(heights, [0, 0], [1, 0])).toEqual([0, 1])
  expect(placeAt(heights, [0, 8], [0, 1])).toEqual([1, 5])
  expect(placeAt(heights, [1, 2], [0, 1])).toEqual([2, 2])
  expect(placeAt(heights, [2, 1], [0, -1])).toEqual([1, 1])
})

test('ends at the edges', () => {
  expect(placeAt(heights, [0, 0], [-1, 0])).toBeUndefined()
  expect(placeAt(heights, [0, 8], [1, 0])).toBeUndefined()
  expect(placeAt(heights, [2, 0], [0, 1])).toBeUndefined()
  expect(placeAt([], [0, 0], [0, 1])).toBeUndefined()
})
