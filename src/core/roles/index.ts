export { everydayWords, goesBy } from './everyday'
export { followersOf } from './followers'
export {
  roleGroups,
  roleIds,
  roleName,
  roles,
  roleToken,
  type PaintedAs,
  type Role,
  type RoleGroup,
  type RoleId,
} from './roles'
