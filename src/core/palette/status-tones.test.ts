import fc from 'fast-check'
import { colorOf, difference, toOklch, type Color } from '../color'
import { isTone, lackingTones, statuses, statusTones } from './status-tones'

const hex = (number: number): Color => colorOf(`#${number.toString(16).padStart(6, '0')}`)!

test('whatever the palette: each tone is taken for what it means, and told from the others', () => {
  const seed = 20261129
  fc.assert(
    fc.property(fc.array(fc.nat(0xffffff), { maxLength: 12 }), (numbers) => {
      const tones = statusTones(numbers.map(hex))
      for (const status of statuses) {
        expect([status, isTone(status, tones[status])]).toEqual([status, true])
        for (const other of statuses) {
          // CIEDE2000 from 20 on is another colour to anybody. Common practice, no source.
          if (other !== status) expect(difference(tones[status], tones[other])).toBeGreaterThan(20)
        }
      }
      expect(lackingTones(Object.values(tones))).toEqual([])
    }),
    { numRuns: 300, seed },
  )
})

test('tones go with the palette: as vivid as it, within what is recognised', () => {
  const chroma = (...numbers: number[]) => toOklch(statusTones(numbers.map(hex)).danger).c
  expect(chroma(0xff0044, 0x0033ff)).toBeGreaterThan(chroma(0x8f7f78, 0x6f8188))
})

// Source: the colours that CSS names green, orange and red are taken for what their names say.
test('colours that everybody takes for good, caution and bad are', () => {
  const named = (name: string) => statuses.filter((status) => isTone(status, colorOf(name)!))
  expect([named('green'), named('orange'), named('red')]).toEqual([
    ['success'],
    ['warning'],
    ['danger'],
  ])
  expect([named('navy'), named('gray'), named('white')]).toEqual([[], [], []])
})
