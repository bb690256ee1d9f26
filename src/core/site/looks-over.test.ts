import { looksOver, type Looks } from './looks'

const [red, blue] = [{ value: 'red' }, { value: 'blue' }]

test('a side of a line gives way to a line that lies over it, state by state', () => {
  const below = { lineLeft: { hover: red, rest: red }, line: { rest: red } } as Looks
  const over = { line: { hover: blue } } as Looks
  expect(looksOver(over, below)).toEqual({
    lineLeft: { rest: red },
    line: { rest: red, hover: blue },
  })
  expect(looksOver({ line: { rest: blue, hover: blue } } as Looks, below)).toEqual({
    line: { rest: blue, hover: blue },
  })
  // A side of its own stays a side.
  expect(looksOver({ ...over, lineLeft: { hover: blue } } as Looks, below)).toMatchObject({
    lineLeft: { hover: blue, rest: red },
  })
  expect(looksOver(undefined, below)).toBe(below)
})
