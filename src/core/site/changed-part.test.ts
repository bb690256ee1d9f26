import fc from 'fast-check'
import { demoSites } from '@demo/sites'
import { changedPart, isWholeRecord, type Page } from '.'

const home = demoSites[0]!.pages[0]!
const ids = Object.keys(home.body.elements)

/** Ways in which one element, or something beside, can be made anything at all. */
const spoiled = fc.oneof(
  fc.record({ id: fc.constantFrom(...ids), colors: fc.anything() }),
  fc.record({ id: fc.constantFrom(...ids), content: fc.constantFrom({}, { text: 'x', level: 2 }) }),
  fc.record({ title: fc.constantFrom('', 'Fine', 7) }),
  fc.record({ order: fc.constantFrom([], ['a', 1]) }),
)

function spoil(page: Page, change: Record<string, unknown>): Page {
  const { id, title, order, ...rest } = change
  if ('title' in change) return { ...page, title } as Page
  if ('order' in change) return { ...page, body: { ...page.body, order } } as Page
  const element = { ...page.body.elements[id as never]!, ...rest }
  const elements = { ...page.body.elements, [id as string]: element }
  return { ...page, body: { ...page.body, elements } } as Page
}

test('what changed in a whole record is whole exactly where all of it is', () => {
  let refused = 0
  fc.assert(
    fc.property(fc.array(spoiled, { minLength: 1, maxLength: 3 }), (changes) => {
      const after = changes.reduce(spoil, home)
      const whole = isWholeRecord('page', after)
      if (!whole) refused += 1
      expect(isWholeRecord('page', changedPart(after, home))).toBe(whole)
    }),
    { numRuns: 400 },
  )
  expect(refused).toBeGreaterThan(0)
})

test('where nothing was before, all is looked at', () => {
  expect(changedPart(home, undefined)).toBe(home)
})
