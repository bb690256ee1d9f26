import { demoSites } from '@demo/sites'
import { slotsInOrder, siteDocs } from '@/core/site'
import { settingIds, settings, traitIds, traits } from '@/core/traits'
import { roleIds, roleName } from '@/core/roles'
import { entriesOf, entriesOfColor } from './entries'
import { found, indexed } from './matching'

const [tern] = demoSites
const docs = siteDocs(tern!.frame, tern!.pages, tern!.pictures)
const home = tern!.pages[0]!.id
const index = indexed(entriesOf(docs, home))
const labels = (typed: string) =>
  found(index, typed).map(({ label, more = '' }) => `${label} | ${more}`)

test('everything that is set site-wide, in themes and in the palette is found by its own name', () => {
  for (const id of settingIds)
    expect(labels(settings[id].label).join()).toContain(settings[id].label)
  for (const id of roleIds) expect(labels(roleName(id)).join()).toContain(roleName(id))
  for (const { name } of slotsInOrder(docs.frame.palette)) expect(labels(name)[0]).toContain(name)
})

test('every trait is found by what people call it, and by its CSS property', () => {
  for (const id of traitIds) {
    for (const word of [traits[id].property, ...traits[id].alias]) {
      expect([word, labels(word).length > 0]).toEqual([word, true])
    }
  }
})

test('everyday questions lead to what is meant', () => {
  expect(labels('hover').some((each) => /pointer over/.test(each))).toBe(true)
  expect(labels('radius').slice(0, 8).join()).toMatch(/Corner of buttons/)
  expect(labels('footer link')[0]).toMatch(/Link.*Footer|footer/i)
  expect(labels('buttons pill').join()).toMatch(/Corner of buttons/)
  expect(labels('heading font').join()).toMatch(/Typeface of headings/)
  expect(labels('footer links')).toEqual(labels('footer link'))
  expect(labels('')).toEqual([])
  expect(labels('zebra crossing')).toEqual([])
})

test('keys are given once', () => {
  const keys = entriesOf(docs, home).map(({ key }) => key)
  expect(new Set(keys).size).toBe(keys.length)
})

test('a colour in any notation leads to the slots that hold it or are near, and to where it is used', () => {
  const [first] = slotsInOrder(docs.frame.palette).filter(({ name }) => name === 'Spark')
  for (const text of ['#d65a2a', 'rgb(214 90 42)', 'hsl(17, 68%, 50%)', ' #D65A2A ']) {
    const entries = entriesOfColor(docs, text)
    expect(entries[0]!.place).toEqual({ at: 'slot', slot: first!.id })
    expect(entries.at(-1)!.place).toEqual({ at: 'sweep', color: text.trim() })
  }
  expect(entriesOfColor(docs, '#0fe')).toHaveLength(1)
  expect(entriesOfColor(docs, 'footer')).toEqual([])
})
