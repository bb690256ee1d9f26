import { demoSites } from '@demo/sites'
import { spotsOnPage } from '@/core/resolve'
import { siteDocs, type PageId, type SiteDocs, type SiteElement } from '@/core/site'
import { whereOf } from './mark'
import { deciderOf, differencesIn, ledgerOf } from './traced'

const { frame, pages } = demoSites[0]!
const docs: SiteDocs = siteDocs(frame, pages)
const home = docs.pages['home' as PageId]!
const spot = spotsOnPage(docs, home.id).find(({ section }) => section.id === 'opening')!
const find = (kind: string) =>
  Object.values(home.body.elements).find((element) => element.kind === kind) as SiteElement

const told = (element: SiteElement | undefined, state: 'rest' | 'hover' = 'rest') =>
  ledgerOf(spot, element, state).lines.map(
    (trace) => `${trace.property.key} ${whereOf(deciderOf(trace), trace.setting)}`,
  )

test('a button has a line for each property that theme or site decides, and none for what is usual', () => {
  expect(told(find('mainButton'))).toEqual([
    'fill shared',
    'label shared',
    'line shared',
    'focus shared',
    'corner shared',
    'lineWidth shared',
    'padding shared',
    'face shared',
    'weight shared',
    'underline shared',
  ])
})

test('a heading tells its face and its step of the scale, running text only that it is as such', () => {
  expect(told(find('heading'))).toEqual([
    'text shared',
    'face shared',
    'size shared',
    'weight shared',
  ])
  expect(told(find('finePrint'))).not.toContain('face shared')
})

test('what somebody decided has a line, wherever it was decided; a side of a border only for itself', () => {
  const looks = { shadow: { rest: { shadows: [] } }, lineTop: { rest: { value: 'teal' } } }
  const lines = told({ ...find('mainButton'), looks } as SiteElement)
  expect(lines).toContain('shadow here')
  expect(lines).toContain('lineTop here')
  expect(lines).not.toContain('lineLeft shared')
  const { folded } = ledgerOf(spot, find('mainButton'), 'rest')
  expect(folded.map(({ property }) => property.key)).toEqual(
    expect.arrayContaining(['lineTop', 'shadow', 'opacity', 'duration']),
  )
})

test('states are counted by what looks another way in them', () => {
  expect(differencesIn(spot, find('mainButton'))).toEqual({
    rest: 0,
    hover: 1,
    focus: 0,
    pressed: 1,
    disabled: 0,
  })
  const looks = { corner: { focus: 20 }, fill: { disabled: { value: 'teal' } } }
  expect(differencesIn(spot, { ...find('mainButton'), looks } as SiteElement)).toMatchObject({
    focus: 1,
    disabled: 1,
  })
})

test('the grounds of a section on tablets and phones wait until they are decided', () => {
  expect(told(undefined)).toEqual(['fill shared', 'space shared', 'innerWidth shared'])
})
