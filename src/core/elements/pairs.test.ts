import { roleIds, roles, type RoleId } from '../roles'
import type { Facet } from './kind'
import { groundsOfRole, pairsOf, rolePairs } from './pairs'

const told = (role: RoleId) => [...groundsOfRole(role)].sort()

test('words and signs stand on sections and on cards, labels on their fills, typed words on fields', () => {
  for (const role of ['heading', 'text', 'mutedText', 'link', 'linkHover', 'accent'] as const) {
    expect(told(role)).toEqual(['ground', 'surface'])
  }
  for (const role of ['focus', 'quietLine', 'fieldLine', 'success', 'danger'] as const) {
    expect(told(role)).toEqual(['ground', 'surface'])
  }
  expect(told('buttonLabel')).toContain('buttonFill')
  expect(told('buttonHoverLabel')).toContain('buttonHoverFill')
  expect(told('quietHoverLabel')).toContain('quietHoverFill')
  expect(told('fieldHint')).toContain('fieldGround')
})

test('every role that must be read stands on something, and none on itself', () => {
  for (const role of roleIds) {
    expect({ role, stands: told(role).length > 0 }).toEqual({
      role,
      stands: roles[role].needs !== undefined,
    })
  }
  expect(rolePairs.filter(({ role, on }) => role === on)).toEqual([])
})

const fill = (role: RoleId, hover?: RoleId): Facet => ({
  key: 'fill',
  label: 'Fill',
  paints: 'fill',
  role,
  ...(hover ? { hover } : {}),
})
const label: Facet = {
  key: 'label',
  label: 'Label',
  paints: 'text',
  role: 'buttonLabel',
  on: 'fill',
}

test('a kind that brings two roles together makes them a pair, with the contrast that words need', () => {
  const badge = pairsOf([{ facets: [fill('accent'), label] }])
  expect(badge).toContainEqual({ role: 'buttonLabel', on: 'accent', needs: 4.5 })
  expect(badge).toHaveLength(2)
  expect(badge).toContainEqual({ role: 'accent', on: 'ground', needs: 3 })
})

test('a label that does not change under the pointer stands on both fills', () => {
  const pairs = pairsOf([{ facets: [fill('buttonFill', 'buttonHoverFill'), label] }])
  expect(pairs.map(({ on }) => on)).toEqual(['buttonFill', 'buttonHoverFill'])
})

test('what holds others is a ground for all of them', () => {
  const pairs = pairsOf([
    { holds: true, facets: [fill('accent')] },
    { facets: [{ key: 'text', label: 'Text', paints: 'text', role: 'text' }] },
  ])
  expect(pairs.filter(({ role }) => role === 'text').map(({ on }) => on)).toEqual([
    'ground',
    'accent',
  ])
})
