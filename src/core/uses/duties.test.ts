import { demoSites } from '@demo/sites'
import { looksOf, reachOf } from './looks'
import { slotDuties } from './duties'

const [tern, ferry] = demoSites.map(({ frame, pages }) => {
  const reach = reachOf(
    frame,
    [frame, ...pages].flatMap(({ body }) => looksOf(body)),
  )
  return Object.fromEntries(slotDuties(frame, reach))
})

test('the accent is the slot that buttons and icons take; grounds and words carry', () => {
  expect(Object.keys(tern!).filter((id) => tern![id]!.isAccent)).toEqual(['spark'])
  expect(Object.keys(ferry!).filter((id) => ferry![id]!.isAccent)).toEqual(['buoy'])
  for (const quiet of ['paper', 'slate', 'ink']) {
    expect(tern![quiet]!.acts).toBeLessThan(0.4)
    expect(tern![quiet]!.acts).toBeLessThan(tern!.spark!.acts)
  }
  expect(tern!.spark!.acts).toBeGreaterThan(0.8)
})

test('a slot that decides no role has no duty', () => {
  const { frame } = demoSites[0]!
  expect(slotDuties({ themes: { ...frame.themes, order: [] } }).size).toBe(0)
})
