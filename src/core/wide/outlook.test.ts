import { demoSites } from '@demo/sites'
import { contrast } from '../color'
import { canonicalJson, siteDocs, type PageId, type SlotId } from '../site'
import { sweepRequest } from '../sweep'
import { hardToRead, readableInstead, sweptDocs, wouldBeHardToRead } from './outlook'

const [tern] = demoSites
const docs = siteDocs(tern!.frame, tern!.pages)
const home = 'home' as PageId
const request = (from: unknown, to: unknown) =>
  sweepRequest.parse({ pairs: [{ from, to }], scope: 'site' })
const brand = docs.frame.palette.slots['brand' as SlotId]!.value!

test('what a sweep to a pale colour makes hard to read is told, with the contrast that it has', () => {
  const after = sweptDocs(docs, request({ value: brand, within: 1 }, { value: '#e8e0c8' }))!
  const hard = wouldBeHardToRead(docs, after, home)
  expect(hard.length).toBeGreaterThan(3)
  // White words of the chat, a theme, something on the page.
  expect(hard.some(({ key }) => key === 'add-on/help-desk/launcher.label')).toBe(true)
  expect(hard.some(({ key }) => key.startsWith('/on-brand/'))).toBe(true)
  for (const { color, ground, ratio, needs } of hard) {
    expect(ratio).toBeLessThan(needs)
    expect(contrast(color, ground)).toBeCloseTo(ratio, 1)
  }
  expect(wouldBeHardToRead(docs, docs, home)).toEqual([])
})

test('the nearest shade that mends it is found, lighter or darker, and does', () => {
  const pale = request({ value: brand, within: 1 }, { value: '#7fb0a8' })
  const instead = readableInstead(docs, pale, 0, home)!
  const mended = { ...pale, pairs: [{ ...pale.pairs[0]!, to: instead }] }
  expect(wouldBeHardToRead(docs, sweptDocs(docs, mended)!, home)).toEqual([])
  expect(instead).toHaveProperty('value')
})

test('nothing is changed by looking', () => {
  const before = canonicalJson(docs)
  hardToRead(docs, home)
  sweptDocs(docs, request({ slot: 'brand' }, { slot: 'spark' }))
  expect(canonicalJson(docs)).toBe(before)
})
