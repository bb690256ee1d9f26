import { goesBy } from './everyday'
import { roleIds, roleName, type RoleId } from './roles'

const found = (words: string): RoleId[] => roleIds.filter((role) => goesBy(role, words))

test('roles are found by their own names and by everyday words', () => {
  for (const role of roleIds) expect(found(roleName(role))).toContain(role)
  expect(found('placeholder')).toEqual(['fieldHint'])
  expect(found(' Hover ')).toEqual([
    'linkHover',
    'buttonHoverFill',
    'buttonHoverLabel',
    'quietHoverFill',
    'quietHoverLabel',
  ])
  expect(found('menu')).toEqual(['text', 'linkHover', 'accent'])
  expect(found('navigation')).toEqual(found('menu'))
  expect(found('quiet button')).toHaveLength(5)
  expect(found('no such thing')).toEqual([])
})
