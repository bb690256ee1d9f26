export { themeGenerator, type GeneratedRoles, type GivenRoles } from './generate'
export {
  atLightness,
  groundKind,
  usefulGrounds,
  type GroundKind,
  type UsefulGround,
} from './grounds'
export type { Decision, PaletteColor, SlotDecision } from './inks'
