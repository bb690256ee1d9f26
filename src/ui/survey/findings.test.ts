import { deviceWidths } from '../editor'
import { faultsOf, inOrderOfGravity, withFaults, type Finding } from './findings'
import type { Measure } from './measure'

const measure = (more: Partial<Measure> = {}): Measure => ({
  key: 'home/title/0',
  doc: 'home',
  section: 'opening',
  element: 'title',
  words: 'Books bound by hand',
  lines: 1,
  out: 0,
  cut: 0,
  ...more,
})
const { desktop: wide, phone } = deviceWidths
const kinds = (before: Measure | undefined, after: Measure) =>
  faultsOf(before, after, wide).map(({ kind }) => kind)

test('only what became worse is told', () => {
  expect(kinds(measure(), measure())).toEqual([])
  expect(kinds(measure({ lines: 3, out: 40, cut: 8 }), measure({ lines: 2 }))).toEqual([])
  expect(kinds(measure({ lines: 2 }), measure({ lines: 3 }))).toEqual(['lines'])
  expect(kinds(measure({ out: 12 }), measure({ out: 12.5 }))).toEqual([])
  expect(kinds(measure(), measure({ out: 30, cut: 4 }))).toEqual(['out', 'cut'])
  // A word in two halves is a line more; it is told as what it is.
  expect(kinds(measure(), measure({ lines: 2, torn: 'Bookbinders' }))).toEqual(['torn'])
  expect(kinds(measure({ torn: 'Bookbinders' }), measure({ torn: 'Bookbinders' }))).toEqual([])
})

test('words that were not there before have nothing to be held against but the edge', () => {
  expect(kinds(undefined, measure({ lines: 9 }))).toEqual([])
  expect(kinds(undefined, measure({ out: 9 }))).toEqual(['out'])
})

test('one entry for the same words in every width, the gravest first', () => {
  const page = { id: 'home', title: 'Home' }
  const other = measure({ key: 'home/small/0', element: 'small', words: 'Small' })
  let found: ReadonlyMap<string, Finding> = new Map()
  found = withFaults(
    found,
    page,
    { before: [measure(), other], after: [measure({ lines: 2 }), other] },
    wide,
  )
  found = withFaults(
    found,
    page,
    { before: [measure(), other], after: [measure({ lines: 4 }), { ...other, out: 20 }] },
    phone,
  )
  const all = inOrderOfGravity([...found.values()])
  expect(all.map(({ words }) => words)).toEqual(['Small', 'Books bound by hand'])
  expect(all[1]!.faults).toEqual([
    { kind: 'lines', width: wide, before: 1, after: 2 },
    { kind: 'lines', width: phone, before: 1, after: 4 },
  ])
})
