import { placeAt } from './place'

const heights = [9, 6, 3]
const heightOf = (page: number) => heights[page]

test('walks down a page and across to the next, to the last section of a shorter one', () => {
  expect(placeAt(heightOf, [0, 0], [1, 0])).toEqual([0, 1])
  expect(placeAt(heightOf, [0, 8], [0, 1])).toEqual([1, 5])
  expect(placeAt(heightOf, [1, 2], [0, 1])).toEqual([2, 2])
  expect(placeAt(heightOf, [2, 1], [0, -1])).toEqual([1, 1])
})

test('ends at the edges', () => {
  expect(placeAt(heightOf, [0, 0], [-1, 0])).toBeUndefined()
  expect(placeAt(heightOf, [0, 8], [1, 0])).toBeUndefined()
  expect(placeAt(heightOf, [2, 0], [0, 1])).toBeUndefined()
  expect(placeAt(() => undefined, [0, 0], [0, 1])).toBeUndefined()
})
