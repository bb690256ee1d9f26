import { demoSites } from '@demo/sites'
import { contrast } from '../color'
import { canonicalJson, siteDocs, type PageId, type SlotId } from '../site'
import { sweepRequest } from '../sweep'
import { looksOf, mergeLooks } from '../uses'
import { hardToRead, readableInstead, sweptDocs, withLooks, wouldBeHardToRead } from './outlook'

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

test('what other pages look like is looked at too, one sample of each look', () => {
  // Of the pages only their looks are known, as where a site has many.
  const looks = mergeLooks(...tern!.pages.map(({ body }) => looksOf(body)))
  const known = withLooks(siteDocs(tern!.frame, []), looks)
  const asked = request({ value: '#1c5a54', within: 2 }, { value: '#f2e6c9' })
  const hard = wouldBeHardToRead(known, sweptDocs(known, asked)!)
  const samples = hard.filter(({ key }) => key.startsWith('every-look/'))
  expect(samples.map(({ what }) => what)).toContain('main button, label: 1 on other pages')
  for (const { color, ground, ratio, needs } of samples) {
    expect(ratio).toBeLessThan(needs)
    expect(contrast(color, ground)).toBeCloseTo(ratio, 1)
  }
  // A sweep that touches none of them finds none.
  const elsewhere = request({ value: '#123456', within: 0 }, { value: '#f2e6c9' })
  expect(wouldBeHardToRead(known, sweptDocs(known, elsewhere)!)).toEqual([])
})

test('nothing is changed by looking', () => {
  const before = canonicalJson(docs)
  hardToRead(docs, home)
  sweptDocs(docs, request({ slot: 'brand' }, { slot: 'spark' }))
  expect(canonicalJson(docs)).toBe(before)
})
