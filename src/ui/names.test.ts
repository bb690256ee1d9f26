import { readName } from './names'

test.each([
  ['  Soft   grey ', { ok: true, name: 'Soft grey' }],
  ['', { ok: false, wrong: 'A name has 1 to 60 characters.' }],
  ['x'.repeat(61), { ok: false, wrong: 'A name has 1 to 60 characters.' }],
  ['\u200b\u00ad', { ok: false, wrong: 'This name has no letter that can be seen; type it anew.' }],
  [
    'Brand\u202egnp',
    { ok: false, wrong: 'This name holds characters that turn text around; type it anew.' },
  ],
])('“%s”', (typed, read) => {
  expect(readName(typed)).toEqual(read)
})
