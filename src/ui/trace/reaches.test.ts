import { demoSites } from '@demo/sites'
import { applyEdit, type Edit } from '@/core/edit'
import { propertiesOfThing, spotsOnPage } from '@/core/resolve'
import { looksOf, reachOf, settingReachOf } from '@/core/uses'
import {
  siteDocs,
  bodyOf,
  walkSection,
  type LookValue,
  type PageId,
  type SiteDocs,
  type SiteElement,
  type SlotId,
} from '@/core/site'
import type { State } from '@/core/traits'
import { reachOptions, usualReach, type Asking } from './reaches'
import { deciderOf, traced } from './traced'

const { frame, pages } = demoSites[0]!
const docs: SiteDocs = siteDocs(frame, pages)
const home = 'home' as PageId
const looks = [...looksOf(frame.body), ...pages.flatMap(({ body }) => looksOf(body))]
const reach = reachOf(frame, looks)
const settingReach = settingReachOf(frame, looks)
const slate: LookValue = { slot: 'slate' as SlotId }

/** A property of something on the home page, and the ways to change it. */
function on(
  section: string,
  kind: string | undefined,
  key: string,
  state: State = 'rest',
  isRight: (element: SiteElement) => boolean = () => true,
  also: Asking['also'] = [],
) {
  const find = (site: SiteDocs) => {
    const spot = spotsOnPage(site, home).find((each) => each.section.id === section)!
    const elements: SiteElement[] = []
    walkSection(bodyOf(site, spot.doc)!, spot.section, (each) => void elements.push(each))
    const element = kind ? elements.find((each) => each.kind === kind && isRight(each))! : undefined
    const property = propertiesOfThing(element).find((each) => each.key === key)!
    return { spot, element, trace: traced(spot, element, property, state) }
  }
  const { spot, element, trace } = find(docs)
  const selection = { doc: spot.doc, section: spot.section.id, element: element?.id, property: key }
  const asking = { spot, selection, also, element, trace, reach, looks, settingReach }
  return { options: reachOptions(asking), trace, find }
}

test('an element of a theme: itself, its role here, its role everywhere, its slot', () => {
  const { options } = on('opening', 'mainButton', 'fill')
  expect(options.map(({ key }) => key)).toEqual([
    'element',
    'style:main-button',
    'role',
    'everywhere',
    'slot',
  ])
  const [own, every, role, everywhere, slot] = options
  expect(own).toMatchObject({ count: 1, label: 'this element' })
  expect(own!.value).toBeUndefined()
  expect(every).toMatchObject({ label: 'every main button', kind: 'base' })
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
  const style = options.find(({ kind }) => kind === 'style')!
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

test('a shape: itself, every one of its kind, and the site-wide setting with all that follow it', () => {
  const { options, trace } = on('opening', 'mainButton', 'corner')
  expect(options.map(({ kind }) => kind)).toEqual(['element', 'base', 'setting'])
  const setting = options[2]!
  expect(setting).toMatchObject({ label: 'site-wide: corner of buttons', value: 4 })
  // Quiet buttons follow it too.
  expect(setting.count).toBeGreaterThan(options[1]!.count)
  expect(usualReach(options, trace)).toBe(setting)
  expect(setting.edit!(999)).toEqual({ type: 'setSettings', settings: { buttonCorner: 999 } })
})

test('what nobody decided is changed for all of its kind, where nobody says how far', () => {
  const { options, trace } = on('opening', 'mainButton', 'shadow')
  expect(deciderOf(trace)).toBeUndefined()
  expect(usualReach(options, trace)).toMatchObject({ kind: 'base' })
})

test('several that are chosen are changed together: those that have the property', () => {
  const button = on('opening', 'mainButton', 'corner').find(docs)
  const quiet = on('opening', 'quietButton', 'corner').find(docs)
  const heading = on('opening', 'heading', 'text').find(docs)
  const also = [quiet, heading].map(({ spot, element }) => ({
    doc: spot.doc,
    section: spot.section.id,
    element: element!.id,
  }))
  const { options } = on('opening', 'mainButton', 'corner', 'rest', () => true, also)
  const chosen = options.find(({ kind }) => kind === 'chosen')!
  expect(chosen.count).toBe(2)
  const edit = chosen.edit!(20) as Edit & { type: 'setLooks' }
  expect(edit.settings.map(({ on: whom }) => 'element' in whom && whom.element)).toEqual([
    button.element!.id,
    quiet.element!.id,
  ])
})

/** Something else than is seen now. */
const other: Readonly<Record<string, LookValue>> = {
  corner: 17,
  padding: { block: 3, inline: 5 },
  size: { px: 33 },
  weight: 333,
  opacity: 0.25,
}

test.each([
  ['opening', 'mainButton', 'fill', 'rest'],
  ['opening', 'heading', 'text', 'rest'],
  ['opening', 'quietButton', 'label', 'hover'],
  ['from-the-shop', 'card', 'line', 'rest'],
  ['newsletter', undefined, 'fill', 'rest'],
  ['opening', 'mainButton', 'corner', 'rest'],
  ['opening', 'mainButton', 'opacity', 'disabled'],
  ['opening', 'quietButton', 'padding', 'pressed'],
  ['opening', 'heading', 'size', 'rest'],
  ['from-the-shop', 'card', 'corner', 'hover'],
  ['opening', 'paragraph', 'weight', 'rest'],
] as const)(
  'every way that is offered for %s, %s, %s, %s changes what is seen, unless something nearer has the last word',
  (section, kind, key, state) => {
    const { options, trace, find } = on(section, kind, key, state)
    const value = other[key] ?? slate
    expect(options.length).toBeGreaterThan(0)
    for (const { kind: how, edit } of options) {
      if (!edit) continue
      const result = applyEdit(docs, edit(value))
      if (!result.ok) throw new Error(`${how}: ${result.problem}`)
      const after = find(result.docs).trace
      const NEAR = { element: 0, section: 0, style: 1, base: 2, theme: 3, setting: 4, usual: 4 }
      const decider = deciderOf(trace)
      const near = decider?.state === state ? NEAR[decider.at] : 9
      const reaches = {
        element: 0,
        chosen: 0,
        style: 1,
        base: 2,
        role: 3,
        everywhere: 3,
        setting: 4,
        slot: 4,
      }[how]
      if (reaches <= near) expect(after.value).toEqual(value)
      else expect(after.value).toEqual(trace.value)
    }
  },
)
