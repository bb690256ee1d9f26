import { demoSites } from '@demo/sites'
import { sectionsInOrder, walkSection, type SiteElement } from '../site'
import { copySection } from './copies'
import { fromReady, readySections } from './sections'

const home = demoSites[0]!.pages[0]!
let count = 0
const newId = (stem: string) => `${stem}-new-${(count += 1)}`

/** Elements without their names: what they are, outer before inner. */
const shape = (elements: readonly SiteElement[]) =>
  elements.map(({ id: _id, children, ...rest }) => ({ ...rest, holds: children?.length ?? 0 }))

test.each(sectionsInOrder(home.body).map((section) => [section.name, section] as const))(
  'a copy of %s holds the same, by names of its own',
  (_, section) => {
    const copy = copySection(home.body, section, newId)
    const own: SiteElement[] = []
    walkSection(home.body, section, (element) => own.push(element))
    const body = {
      order: [copy.section.id],
      sections: { [copy.section.id]: copy.section },
      elements: Object.fromEntries(copy.elements.map((element) => [element.id, element])),
    }
    const copied: SiteElement[] = []
    walkSection(body, copy.section, (element) => copied.push(element))
    expect(shape(copied)).toEqual(shape(own))
    expect(copied).toHaveLength(copy.elements.length)
    for (const { id } of copied) expect(home.body.elements[id]).toBeUndefined()
    expect(copy.section.id).not.toBe(section.id)
  },
)

test('every ready section can be put into a site twice, with pictures or without', () => {
  for (const ready of readySections) {
    for (const pictures of [[], ['logo']]) {
      const one = fromReady(ready, 'on-paper' as never, pictures, newId)
      const two = fromReady(ready, 'on-paper' as never, pictures, newId)
      const ids = [...one.elements, ...two.elements].map(({ id }) => id)
      expect(new Set(ids).size).toBe(ids.length)
      expect(one.section.name).toBe(ready.name)
    }
  }
})
