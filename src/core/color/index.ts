export {
  between,
  black,
  clamp,
  colorKey,
  colorOfKey,
  fromBytes,
  fromChannels,
  inGamut,
  opaqueKey,
  over,
  sameColor,
  toBytes,
  white,
  type Color,
  type Triple,
} from './color'
export { fromHsl, fromHwb, toHsl, toHwb, type Hsl } from './hsl'
export { cssName } from './names'
export { parseColor, colorOf, type ColorProblem, type Notation, type ParsedColor } from './parse'
export { isOutOfGamut, writeColor, writeHex, writeShortHex, type WritableNotation } from './write'
export { writeLike } from './write-like'
export { contrast, luminance, writeRatio } from './contrast'
export { mix, mixSpaces, type MixSpace } from './mix'
export { difference } from './difference'
export { lightness } from './lab'
export { clipToGamut, mapToGamut } from './gamut'
export {
  applyShade,
  clippedShade,
  sameHue,
  shadeSchema,
  shadesOf,
  type Steps,
  shadeToken,
  tidyShade,
  writeShade,
  type Shade,
} from './shade'
export { fromOklch, toOklch, type Oklch } from './oklch'
export { fromOklab, linearToOklab, oklabToLinear, toOklab, type Oklab } from './oklab'
export { encode, linearize } from './xyz'
