import fc from 'fast-check'
import { plainText, wordColors, type Run } from '@/core/elements'
import { docOfRuns, runsOfDoc } from './word-schema'

const anyRun = fc.record(
  {
    text: fc.constantFrom('a', 'two words', '\n', 'über', 'x\ny', ' '),
    href: fc.constantFrom('page:shop', 'https://example.org'),
    strong: fc.constant(true),
    em: fc.constant(true),
    words: fc.constantFrom(...wordColors),
  },
  { requiredKeys: ['text'] },
)
const marksOf = ({ text: _text, ...marks }: Run) => JSON.stringify(Object.entries(marks).sort())

test('running text is edited as what it is: nothing of it is lost, neighbours alike are one', () => {
  fc.assert(
    fc.property(fc.array(anyRun, { maxLength: 8 }), (runs) => {
      const read = runsOfDoc(docOfRuns(runs))
      expect(plainText(read)).toBe(plainText(runs))
      const letters = (all: readonly Run[]) =>
        all.flatMap((run) => [...run.text].map((letter) => [letter, marksOf(run)]))
      expect(letters(read)).toEqual(letters(runs))
      for (const [i, run] of read.entries()) {
        if (i) expect(marksOf(run)).not.toBe(marksOf(read[i - 1]!))
      }
      expect(runsOfDoc(docOfRuns(read))).toEqual(read)
    }),
  )
})
