import { demoSites } from '@demo/sites'
import { applyEdit, type Edit } from '@/core/edit'
import { facetsOf, spotsOnPage, traceFacet } from '@/core/resolve'
import { looksOf, reachOf } from '@/core/uses'
import {
  siteDocs,
  bodyOf,
  walkSection,
  type ColorDecision,
  type PageId,
  type SiteDocs,
  type SiteElement,
  type SlotId,
  type State,
} from '@/core/site'
import { reachOptions } from './reaches'

const { frame, pages } = demoSites[0]!
const docs: SiteDocs = siteDocs(frame, pages)
const home = 'home' as PageId
const reach = reachOf(frame, [
  ...looksOf(frame.body),
  ...pages.flatMap(({ body }) => looksOf(body)),
])
const slate: ColorDecision = { slot: 'slate' as SlotId }

/** A colour on the home page, and the ways to change it. */
function on(
  section: string,
  kind: string | undefined,
  facet: string,
  state: State = 'rest',
  isRight: (element: SiteElement) => boolean = () => true,
) {
  const find = (site: SiteDocs) => {
    const spot = spotsOnPage(site, home).find((each) => each.section.id === section)!
    const elements: SiteElement[] = []
    walkSection(bodyOf(site, spot.doc)!, spot.section, (each) => void elements.push(each))
    const element = kind ? elements.find((each) => each.kind === kind && isRight(each))! : undefined
    const trace = traceFacet(
      spot,
      element,
      facetsOf(element).find(({ key }) => key === facet)!,
      state,
    )
    return { spot, element, trace }
  }
  const { spot, element, trace } = find(docs)
  const selection = { doc: spot.doc, section: spot.section.id, element: element?.id, facet }
  return { options: reachOptions(docs, selection, spot.theme.id, element, trace, reach), find }
}

test('an element of a theme: itself, its role here, its role everywhere, its slot', () => {
  const { options } = on('opening', 'mainButton', 'fill')
  expect(options.map(({ key }) => key)).toEqual(['element', 'role', 'everywhere', 'slot'])
  const [own, role, everywhere, slot] = options
  expect(own).toMatchObject({ count: 1, value: undefined, label: 'this element' })
  expect(role).toMatchObject({ label: 'main button, fill On Paper', value: { slot: 'spark' } })
  expect(everywhere!.count).toBeGreaterThan(role!.count)
  expect(slot).toMatchObject({ label: 'the slot Spark itself', count: reach.slots['spark'] })
  expect(slot!.edit).toBeUndefined()
})

test('under the pointer it is the role of the pointer that is changed', () => {
  const { options } = on('opening', 'mainButton', 'fill', 'hover')
  const role = options.find(({ key }) => key === 'role')!
  expect(role.label).toBe('main button, fill, pointer over On Paper')
  expect(role.edit!(slate)).toMatchObject({ type: 'setRole', role: 'buttonHoverFill' })
})

test('an element of an element style has a way to change the style', () => {
  const { options } = on('from-the-shop', 'card', 'line', 'rest', ({ style }) => !!style)
  const style = options.find(({ key }) => key === 'style')!
  expect(style.label).toMatch(/^element style /)
  expect(style.count).toBeGreaterThan(0)
  expect(style.edit!(slate)).toMatchObject({
    settings: [{ on: { style: expect.any(String) }, key: 'line', state: 'rest', value: slate }],
  })
})

test('a section is told as one', () => {
  const { options } = on('opening', undefined, 'fill')
  expect(options[0]!.label).toBe('this section')
  expect(options[0]!.edit!(slate)).toMatchObject({
    settings: [{ on: { section: 'opening' }, key: 'fill' }],
  })
})

test.each([
  ['opening', 'mainButton', 'fill', 'rest'],
  ['opening', 'heading', 'text', 'rest'],
  ['opening', 'quietButton', 'label', 'hover'],
  ['from-the-shop', 'card', 'line', 'rest'],
  ['newsletter', undefined, 'fill', 'rest'],
] as const)(
  'every way that is offered for %s, %s, %s, %s changes what is seen',
  (section, kind, facet, state) => {
    const { options, find } = on(section, kind, facet, state)
    for (const { key, edit } of options) {
      if (!edit) continue
      const result = applyEdit(docs, edit(slate) as Edit)
      if (!result.ok) throw new Error(`${key}: ${result.problem}`)
      const { trace } = find(result.docs)
      // What stands nearer keeps the last word: only a way as near as the decision itself is seen.
      const decider = find(docs).trace.chain[find(docs).trace.decidedBy]!.at
      const near = { element: 0, section: 0, style: 1, base: 1, theme: 2, setting: 3, usual: 3 }[
        decider
      ]
      const reaches = { element: 0, style: 1, role: 2, everywhere: 2, slot: 3 }[key]
      if (reaches <= near) expect(trace).toMatchObject({ slot: 'slate' })
      else expect(trace.paint).toEqual(find(docs).trace.paint)
    }
  },
)
