export {
  roleGroups,
  roleIds,
  roleName,
  rolePairs,
  roles,
  roleToken,
  type PaintedAs,
  type Role,
  type RoleGroup,
  type RoleId,
} from './roles'
