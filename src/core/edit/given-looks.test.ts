import { demoSites } from '@demo/sites'
import { siteDocs, type PageId, type SiteDocs, type SiteElement } from '../site'
import { applyEdit } from './apply'
import { givenLooks, looksOfElement } from './given-looks'

const { frame, pages } = demoSites[0]!
const docs: SiteDocs = siteDocs(frame, pages)
const home = docs.pages['home' as PageId]!
const find = (kind: string) =>
  Object.values(home.body.elements).find((each) => each.kind === kind) as SiteElement

const [main, quiet] = [find('mainButton'), find('quietButton')]
const looks = {
  fill: { rest: { value: 'teal' }, hover: { value: 'navy' } },
  corner: { rest: 12 },
  weight: { rest: 800 },
}

function given(group: Parameters<typeof givenLooks>[3], target: SiteElement = quiet) {
  const body = { ...home.body, elements: { ...home.body.elements, [target.id]: target } }
  const on = { doc: home.id, element: target.id }
  const settings = givenLooks(looks as never, on, target, group)
  const site = siteDocs(frame, [{ ...home, body } as never])
  const result = applyEdit(site, { type: 'setLooks', settings } as never)
  if (!result.ok) throw new Error(result.problem)
  return result.docs.pages[home.id]!.body.elements[target.id]!.looks
}

test('all of it, or only its colours, its shape or its type', () => {
  expect(given('all')).toEqual(looks)
  expect(given('paint')).toEqual({ fill: looks.fill })
  expect(given('shape')).toEqual({ corner: looks.corner })
  expect(given('type')).toEqual({ weight: looks.weight })
})

test('what the other decides beyond that goes, and what is of another group stays', () => {
  const own = { opacity: { rest: 0.5 }, line: { rest: { value: 'red' } } }
  const target = { ...quiet, looks: own } as unknown as SiteElement
  expect(given('all', target)).toEqual(looks)
  expect(given('paint', target)).toEqual({ fill: looks.fill, opacity: own.opacity })
})

test('another kind takes what it can have', () => {
  expect(given('all', find('heading'))).toEqual({ weight: looks.weight })
})

test('what an element looks like is what it and its styles decide, the nearest counting', () => {
  const styles = {
    wide: {
      id: 'wide',
      name: 'Wide',
      kind: 'mainButton',
      looks: { corner: { rest: 2, hover: 3 } },
    },
    round: {
      id: 'round',
      name: 'Round',
      kind: 'mainButton',
      parent: 'wide',
      looks: { corner: { rest: 9 } },
    },
  }
  const element = { ...main, style: 'round', looks: { weight: { rest: 700 } } }
  expect(looksOfElement({ styles } as never, element as never)).toEqual({
    corner: { rest: 9, hover: 3 },
    weight: { rest: 700 },
  })
})
