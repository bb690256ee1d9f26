import { kindIds } from '@/core/elements'
import { elementId, sectionId } from '@/core/site'
import { newId } from './new-id'

test('every kind of element lends its name to ids', () => {
  for (const kind of kindIds) expect(elementId.parse(newId(kind))).toMatch(/^[a-z]/)
})

test('ids are new, and ids however long the name is', () => {
  const ids = Array.from({ length: 1000 }, () => newId('x'.repeat(100)))
  expect(new Set(ids).size).toBe(1000)
  expect(sectionId.safeParse(ids[0]).success).toBe(true)
})
