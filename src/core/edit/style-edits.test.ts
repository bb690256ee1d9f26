import { ternFrame } from '@demo/tern/frame'
import { home } from '@demo/tern/home'
import { canonicalJson, siteDocs, type SiteDocs } from '../site'
import { applyEdit } from './apply'

const button = Object.values(home.body.elements).find(({ kind }) => kind === 'mainButton')!
const done = (docs: SiteDocs, edit: object): SiteDocs => {
  const result = applyEdit(docs, edit as never)
  if (!result.ok) throw new Error(result.problem)
  return result.docs
}

test('a style made from an element takes over what that decided, however its members are ordered', () => {
  const on = { doc: 'home', element: button.id }
  const fill = { slot: 'ink', shade: { lightness: 8, hue: 4 } }
  const set = (key: string, value: unknown) => ({ on, key, state: 'rest', value })
  const docs = done(siteDocs(ternFrame, [home]), {
    type: 'setLooks',
    settings: [set('fill', fill), set('corner', 20)],
  })
  // As the database gives it back: members in the order of canonical JSON.
  const stored = JSON.parse(canonicalJson(docs as never)) as SiteDocs
  const style = {
    ...{ id: 'extra', name: 'Extra', kind: 'mainButton' },
    looks: {
      corner: { rest: 20 },
      fill: { rest: { slot: 'ink', shade: { lightness: 8, hue: 4 } } },
    },
  }
  const after = done(stored, { type: 'addStyle', style, wear: [on] })
  const element = after.pages[home.id]!.body.elements[button.id]!
  expect(element.style).toBe('extra')
  expect(element.looks).toBeUndefined()
})

test('what an element decides otherwise than its new style stays its own', () => {
  const on = { doc: 'home', element: button.id }
  const docs = done(siteDocs(ternFrame, [home]), {
    type: 'setLooks',
    settings: [{ on, key: 'fill', state: 'rest', value: { slot: 'ink' } }],
  })
  const style = {
    ...{ id: 'extra', name: 'Extra', kind: 'mainButton' },
    looks: { fill: { rest: { slot: 'brand' } } },
  }
  const after = done(docs, { type: 'addStyle', style, wear: [on] })
  expect(after.pages[home.id]!.body.elements[button.id]!.looks).toEqual({
    fill: { rest: { slot: 'ink' } },
  })
})
