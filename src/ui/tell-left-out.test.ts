import { leftOutWords } from './tell-left-out'

test('nothing is told where all is kept', () => expect(leftOutWords([])).toBeUndefined())

test('what is not kept is told by name, a few things one by one', () => {
  expect(leftOutWords([{ of: 'wave.svg', what: ['animate', 'onclick'] }])).toMatch(
    /^Left out of wave\.svg: animate and onclick\. Nothing on a site runs/,
  )
  expect(leftOutWords([{ of: 'snippets of the page Home', what: [] }])).toContain(
    'Left out of snippets of the page Home: what they may not hold.',
  )
  const many = Array.from({ length: 7 }, (_, i) => ({ of: `${i}.svg`, what: ['script'] }))
  const words = leftOutWords(many)!
  expect(words.match(/Left out of/g)).toHaveLength(4)
  expect(words).toContain('And out of 3 more.')
})
