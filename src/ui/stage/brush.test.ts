import { demoSites } from '@demo/sites'
import { applyEdit } from '@/core/edit'
import { siteDocs, type SiteDocs } from '@/core/site'
import type { Brush, Selection } from '../editor'
import { painting, shaded, turned } from './brush'
import { walkable } from './walk'

const [tern] = demoSites
const docs: SiteDocs = siteDocs(tern!.frame, tern!.pages, tern!.pictures)
const [slot] = docs.frame.palette.order
const home = tern!.pages[0]!.id
const things = walkable(docs, home)
const brush: Brush = { slot: slot!, shade: 0, further: 0 }
const kindOf = ({ doc, element }: Selection) =>
  doc === 'frame' || !element ? undefined : docs.pages[doc]?.body.elements[element]?.kind
const ofKind = (kind: string) => things.filter((each) => kindOf(each) === kind)
const [button] = ofKind('mainButton')
const headings = ofKind('heading')

test('everything on a page can be painted, by an edit that is carried out', () => {
  for (const target of things) {
    const found = painting(docs, brush, target, [])
    expect(found?.targets).toHaveLength(1)
    expect(applyEdit(docs, found!.edit).ok).toBe(true)
  }
})

test('the colour that is meant goes round, and comes back to where it was', () => {
  const seen: string[] = []
  let now = brush
  for (let n = 0; n < 40 && !(n > 0 && seen[0] === seen.at(-1) && n > 1); n += 1) {
    seen.push(painting(docs, now, button!, [])!.targets[0].property!)
    now = turned(now)
  }
  expect(seen.slice(0, 3)).toEqual(['fill', 'label', 'line'])
  expect(seen.at(-1)).toBe(seen[0])
})

test('one of several that are chosen: all of them that have such a colour; any other: it alone', () => {
  const chosen = [button!, ...headings.slice(0, 2)]
  const on = painting(docs, brush, headings[0]!, chosen)!
  expect(on.targets.map(({ element }) => element)).toEqual(
    headings.slice(0, 2).map(({ element }) => element),
  )
  expect(painting(docs, brush, headings[2]!, chosen)!.targets).toHaveLength(1)
})

test('shades go by steps, and end before black and white; what is gone is not painted', () => {
  expect(shaded(brush, -2, 8).shade).toBe(-16)
  expect(shaded({ ...brush, shade: 94 }, 3, 8).shade).toBe(96)
  const { edit } = painting(docs, shaded(brush, 1, 8), button!, [])!
  expect(edit).toMatchObject({ settings: [{ value: { slot, shade: { lightness: 8 } } }] })
  expect(painting(docs, brush, { ...button!, element: 'gone' as never }, [])).toBeUndefined()
})
