import { EditorState } from 'prosemirror-state'
import { plainText, type Runs } from '@/core/elements'
import { othersWords } from './others-words'
import { docOfRuns, runsOfDoc } from './word-schema'

/** What stands after others' words came, with the chosen part in brackets. */
function after(runs: Runs, from: number, to: number, theirs: Runs): string {
  const state = EditorState.create({ doc: docOfRuns(runs) })
  const tr = othersWords(state, { from, to }, theirs)
  if (!tr) return 'as it was'
  expect(plainText(runsOfDoc(tr.doc))).toBe(plainText(theirs))
  const text = plainText(theirs)
  const { from: start, to: end } = tr.selection
  return `${text.slice(0, start)}[${text.slice(start, end)}]${text.slice(end)}`
}
const text = (words: string): Runs => [{ text: words }]

test('a caret stays behind the letter it stood behind, also where more follows just there', () => {
  expect(after(text('Seats are few'), 9, 9, text('Our seats are few'))).toBe('Our seats are[] few')
  expect(after(text('Seats are few'), 5, 5, text('Seats are few, ask'))).toBe(
    'Seats[] are few, ask',
  )
})

test('more words at the end come behind the caret', () => {
  expect(after(text('that last'), 9, 9, text('that last. And more'))).toBe('that last[]. And more')
})

test('what is chosen whole stays chosen whole, so that the next key writes over all of it', () => {
  expect(after(text('One good week'), 0, 13, text('Ours'))).toBe('[Ours]')
  expect(after(text('aaa'), 0, 3, text('aaaaa'))).toBe('[aaaaa]')
})

test('repeated letters, longer and shorter', () => {
  expect(after(text('aaaa'), 4, 4, text('aa'))).toBe('aa[]')
  expect(after(text('abab'), 2, 2, text('ababab'))).toMatch(/^ab\[\]/)
})

test('marks alone change what stands, and the same words change nothing', () => {
  const bold: Runs = [{ text: 'Seats', strong: true }, { text: ' are few' }]
  expect(after(text('Seats are few'), 7, 7, bold)).toBe('Seats a[]re few')
  expect(after(bold, 0, 0, bold)).toBe('as it was')
})
