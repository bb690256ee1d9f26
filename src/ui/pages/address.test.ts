import fc from 'fast-check'
import { addressFor, wrongAddress } from './address'

test('the address of a title can be kept, whatever the title is', () => {
  expect(addressFor('Café & bar')).toBe('cafe-bar')
  expect(addressFor('Index')).toBe('index-2')
  expect(addressFor('修理')).toBe('page')
  fc.assert(
    fc.property(fc.string({ unit: 'grapheme', maxLength: 500 }), (title) => {
      expect(wrongAddress(addressFor(title))).toBeUndefined()
    }),
  )
})

test.each(['', 'a b', '../shop', 'Shop', '-a', 'a'.repeat(500), 'a/b', 'ä', '.'])(
  '“%s” is no address, and words say why',
  (typed) => expect(wrongAddress(typed)).toMatch(/address/),
)
