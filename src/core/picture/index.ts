export { flatColors, mixtureFinder } from './flat-colors'
export type { PixelBytes } from './pixel-bytes'
export { canRecolor, markedArea, pixelRecolorer, type Recoloring } from './recolor'
export { shareOf, tonesOf, visibleShare, type Tones } from './tones'
